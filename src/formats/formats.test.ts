import fc from 'fast-check';
import { Box3, Vector3, type BufferGeometry, type Mesh as ThreeMesh, type Object3D } from 'three';
import { GLTFLoader } from 'three/examples/jsm/loaders/GLTFLoader.js';
import { OBJLoader } from 'three/examples/jsm/loaders/OBJLoader.js';
import { MTLLoader } from 'three/examples/jsm/loaders/MTLLoader.js';
import { PLYLoader } from 'three/examples/jsm/loaders/PLYLoader.js';
import { STLLoader } from 'three/examples/jsm/loaders/STLLoader.js';
import validator from 'gltf-validator';
import { boxOf } from '../core/mesh/box';
import { area, volume } from '../core/mesh/measure';
import type { Mesh } from '../core/mesh/mesh';
import { makeSegmentMesh } from '../core/segment/registry';
import { unwrap } from '../core/testing/runs';
import type { NamedBytes } from './format';
import { buildGltfIo } from './gltf-io';
import { FORMATS, readMesh, writerFor, WRITERS, type FormatName } from './registry';

const road = makeSegmentMesh({ kind: 'kerbedLane', length: 4, laneWidth: 3.2, bankHeight: 0.9 });
// prettier-ignore
const PIXEL = Uint8Array.from(Buffer.from('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==', 'base64'));
const painted: Mesh = {
  ...makeSegmentMesh({ kind: 'plank', length: 2, width: 0.4, thickness: 0.1 }),
  materials: [
    {
      name: 'Painted',
      colour: [1, 1, 1, 1],
      roughness: 0.5,
      metalness: 0.25,
      emissive: [0, 0.5, 0],
      doubleSided: true,
      alpha: 'opaque',
      colourImage: 0,
    },
  ],
  images: [{ name: 'pixel', mime: 'image/png', bytes: PIXEL }],
};
const scene = [{ name: 'Road one', mesh: road }];

const write = async (format: string, what = scene) => writerFor(format)!.write!(what, 'test');
const text = (s: string): Uint8Array => new TextEncoder().encode(s);
const file = (name: string, content: string): NamedBytes => ({ name, bytes: text(content) });

/** All triangles of a three scene as one soup in metres. */
function soup(root: Object3D) {
  const positions: number[] = [];
  let vertices = 0;
  root.updateMatrixWorld(true);
  root.traverse((object) => {
    const geometry = (object as ThreeMesh).geometry as BufferGeometry | undefined;
    if (!geometry) return;
    vertices += geometry.getAttribute('position').count;
    const flat = geometry.index ? geometry.toNonIndexed() : geometry;
    const at = flat.getAttribute('position');
    for (let i = 0; i < at.count; i++) {
      const v = new Vector3().fromBufferAttribute(at, i).applyMatrix4(object.matrixWorld);
      positions.push(v.x, v.y, v.z);
    }
  });
  const mesh = {
    positions: Float32Array.from(positions),
    indices: Uint32Array.from({ length: positions.length / 3 }, (_, i) => i),
  };
  return { vertices, volume: volume(mesh), area: area(mesh), box: boxOf(mesh.positions) };
}

const buffer = (bytes: Uint8Array) =>
  bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength) as ArrayBuffer;
const nearBox = (a: ReturnType<typeof boxOf>, b: ReturnType<typeof boxOf>) => {
  for (let c = 0; c < 3; c++) {
    expect(a.min[c]).toBeCloseTo(b.min[c], 5);
    expect(a.max[c]).toBeCloseTo(b.max[c], 5);
  }
};

describe('files that are written open elsewhere', () => {
  it('GLB: the Khronos validator finds no error and no warning', async () => {
    for (const what of [scene, [{ name: 'Painted', mesh: painted }], [...scene, { name: 'Second', mesh: painted }]]) {
      const [{ bytes }] = (await write('glb', what)) as [NamedBytes];
      const { issues } = await validator.validateBytes(bytes, { maxIssues: 0 });
      expect(issues.numErrors).toBe(0);
      expect(issues.numWarnings).toBe(0);
    }
  });

  it('GLB: three reads the same vertices, bounds and volume', async () => {
    const [{ bytes }] = (await write('glb')) as [NamedBytes];
    const { scene: root } = await new GLTFLoader().parseAsync(buffer(bytes), '');
    const read = soup(root);
    expect(read.vertices).toBe(road.positions.length / 3);
    expect(read.volume).toBeCloseTo(volume(road), 4);
    nearBox(read.box, boxOf(road.positions));
    expect(root.children[0].name).toBe('Road_one'); // three puts _ for a space
  });

  it('OBJ: three reads the same bounds and volume', async () => {
    const [{ bytes }] = (await write('obj')) as [NamedBytes];
    const read = soup(new OBJLoader().parse(new TextDecoder().decode(bytes)));
    expect(read.vertices).toBe(road.indices.length); // three takes corners apart
    expect(read.volume).toBeCloseTo(volume(road), 4);
    nearBox(read.box, boxOf(road.positions));
  });

  it('STL: three reads the same volume, with z up', async () => {
    const [{ bytes }] = (await write('stl')) as [NamedBytes];
    const geometry = new STLLoader().parse(buffer(bytes));
    const positions = geometry.getAttribute('position').array as Float32Array;
    const indices = Uint32Array.from({ length: positions.length / 3 }, (_, i) => i);
    expect(volume({ positions, indices })).toBeCloseTo(volume(road), 4);
    expect(new Box3().setFromBufferAttribute(geometry.getAttribute('position') as never).max.z).toBeCloseTo(
      boxOf(road.positions).max[1],
      5,
    );
  });
});

describe('PLY', () => {
  it('is read by three and by Rattan with the same shape, and colours as bytes of sRGB', async () => {
    const two = [...scene, { name: 'Far', mesh: painted, origin: [30, 0, -2] as const }];
    const [{ bytes }] = (await write('ply', two)) as [NamedBytes];
    const geometry = new PLYLoader().parse(buffer(bytes));
    const own = unwrap(await readMesh([{ name: 'a.ply', bytes }]));
    const whole = volume(road) + volume(painted);
    const positions = geometry.getAttribute('position').array as Float32Array;
    expect(volume({ positions, indices: Uint32Array.from(geometry.index!.array) })).toBeCloseTo(whole, 4);
    expect(volume(own)).toBeCloseTo(whole, 4);
    expect(boxOf(own.positions).max[0]).toBeCloseTo(32, 5);
    const [first] = road.parts;
    const v = road.indices[first.start];
    for (let c = 0; c < 3; c++)
      expect(own.colours![v * 4 + c]).toBeCloseTo(road.materials[first.material].colour[c], 2);
  });

  it('of nothing is a file all the same', async () => {
    const [{ bytes }] = (await write('ply', [])) as [NamedBytes];
    expect(new PLYLoader().parse(buffer(bytes)).getAttribute('position').count).toBe(0);
  });
});

describe('every format that is read and written', () => {
  const both = FORMATS.filter((f) => f.read && f.write).map(({ kind }) => kind);
  it.each(both.filter((kind) => kind !== 'stl' && kind !== 'ply'))(
    '%s brings a mesh back: triangles, volume, materials, texture coordinates',
    async (kind: FormatName) => {
      for (const mesh of [road, painted]) {
        const files = await write(FORMATS.find((f) => f.kind === kind)!.extensions[0], [{ name: 'A', mesh }]);
        const back = unwrap(await readMesh(files));
        expect(back.indices).toHaveLength(mesh.indices.length);
        expect(back.positions).toHaveLength(mesh.positions.length);
        expect(volume(back)).toBeCloseTo(volume(mesh), 5);
        const worn = (m: Mesh, name: string) =>
          m.parts.filter((p) => m.materials[p.material].name.startsWith(name)).reduce((sum, p) => sum + p.count, 0);
        for (const { name } of mesh.materials) expect(worn(back, name)).toBe(worn(mesh, name));
        expect(back.images.map(({ bytes }) => bytes)).toEqual(mesh.images.map(({ bytes }) => bytes));
        const sum = (a: Float32Array) => a.reduce((s, x) => s + x, 0);
        expect(sum(back.uvs)).toBeCloseTo(sum(mesh.uvs), 2);
        for (const { name, roughness, metalness, colour } of back.materials) {
          const before = mesh.materials.find((m) => name.startsWith(m.name))!;
          expect(roughness).toBeCloseTo(before.roughness, 6);
          expect(metalness).toBeCloseTo(before.metalness, 6);
          expect(colour[0]).toBeCloseTo(before.colour[0], 6);
        }
      }
    },
  );

  it.each(both)('%s never crashes on damaged bytes: a mesh or a problem', async (kind: FormatName) => {
    const [main, ...beside] = await write(FORMATS.find((f) => f.kind === kind)!.extensions[0], [
      { name: 'A', mesh: painted },
    ]);
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.tuple(fc.nat(main.bytes.length - 1), fc.nat(255)), { maxLength: 20 }),
        fc.nat(main.bytes.length),
        fc.boolean(),
        async (changes, length, isCut) => {
          const bytes = main.bytes.slice(0, isCut ? length : undefined);
          for (const [at, value] of changes) if (at < bytes.length) bytes[at] = value;
          const result = await readMesh([{ name: main.name, bytes }, ...beside]);
          if (result.ok) expect(result.value.positions.every(Number.isFinite)).toBe(true);
          else expect(result.problems.length).toBeGreaterThan(0);
        },
      ),
      { numRuns: 150, seed: 13 },
    );
  });
});

describe('readMesh', () => {
  const code = async (...files: NamedBytes[]) => {
    const result = await readMesh(files);
    return result.ok ? 'ok' : result.problems[0].code;
  };

  it('says what is wrong with an OBJ, and in which line', async () => {
    const problem = async (content: string) => {
      const result = await readMesh([file('a.obj', content)]);
      return result.ok ? undefined : result.problems[0];
    };
    expect(await problem('v 0 0 0\nv 1 zero 0\n')).toMatchObject({ code: 'obj.number', facts: { line: 2 } });
    expect(await problem('v 0 0 0\nv 1 0 0\nv 0 1 0\nf 1 2 4\n')).toMatchObject({
      code: 'obj.index',
      facts: { line: 4, corner: '4' },
    });
    expect(await problem('v 0 0 0\nf 1 1\n')).toMatchObject({ code: 'obj.face', facts: { line: 2, corners: 2 } });
    expect(await problem('v 0 0 0\n')).toMatchObject({ code: 'mesh.empty' });
  });

  it('reads polygons, backward indices, joined lines and files without normals', async () => {
    const mesh = unwrap(
      await readMesh([file('a.obj', 'o quad\nv 0 0 0\nv 1 0 0\nv 1 0 -1\nv 0 0 -1\nf -4 -3 \\\n -2 -1\n')]),
    );
    expect(mesh.indices).toHaveLength(6);
    expect([...mesh.normals.subarray(0, 3)]).toEqual([0, 1, 0]);
  });

  it('warns of a material library that was not given', async () => {
    const result = await readMesh([file('a.obj', 'mtllib red.mtl\nv 0 0 0\nv 1 0 0\nv 0 1 0\nusemtl red\nf 1 2 3\n')]);
    expect(result).toMatchObject({ ok: true, warnings: [{ code: 'obj.no-materials' }] });
  });

  it('tells truncated, foreign, empty and old files apart', async () => {
    const [{ bytes }] = (await write('glb')) as [NamedBytes];
    expect(await code({ name: 'a.glb', bytes: bytes.slice(0, bytes.length - 10) })).toBe('file.truncated');
    const old = bytes.slice();
    old[4] = 1;
    expect(await code({ name: 'a.glb', bytes: old })).toBe('gltf.version');
    expect(await code({ name: 'a.png', bytes: PIXEL })).toBe('file.unknown-format');
    expect(await code({ name: 'a.glb', bytes: new Uint8Array() })).toBe('file.empty');
  });

  it('reads a GLB that starts at an odd place in memory', async () => {
    const [{ bytes }] = (await write('glb')) as [NamedBytes];
    const odd = new Uint8Array(bytes.length + 1);
    odd.set(bytes, 1);
    expect(await code({ name: 'a.glb', bytes: odd.subarray(1) })).toBe('ok');
  });

  it('builds transforms of nodes in, mirrors included, and reads glTF with its buffer beside it or inside', async () => {
    const positions = Float32Array.of(0, 0, 0, 1, 0, 0, 0, 1, 0);
    const bin = new Uint8Array(positions.buffer);
    const json = (uri: string) =>
      JSON.stringify({
        asset: { version: '2.0' },
        scene: 0,
        scenes: [{ nodes: [0] }],
        nodes: [
          { children: [1], translation: [10, 0, 0] },
          { mesh: 0, scale: [-2, 1, 1] },
        ],
        meshes: [{ primitives: [{ attributes: { POSITION: 0 } }] }],
        accessors: [{ bufferView: 0, componentType: 5126, count: 3, type: 'VEC3', min: [0, 0, 0], max: [1, 1, 0] }],
        bufferViews: [{ buffer: 0, byteLength: 36 }],
        buffers: [{ byteLength: 36, uri }],
      });
    const beside = unwrap(await readMesh([file('tri.gltf', json('tri.bin')), { name: 'tri.bin', bytes: bin }]));
    expect([...beside.positions.subarray(3, 6)]).toEqual([8, 0, 0]);
    expect([...beside.normals.subarray(0, 3)].map(Math.round)).toEqual([0, 0, 1]); // the mirror turns the corners round as well
    const inside = `data:application/octet-stream;base64,${Buffer.from(bin).toString('base64')}`;
    expect(unwrap(await readMesh([file('tri.gltf', json(inside))])).positions).toEqual(beside.positions);
    expect(await code(file('tri.gltf', json('tri.bin')))).toBe('file.missing-beside');
  });
});

describe('files that others read and write', () => {
  const plank = makeSegmentMesh({ kind: 'plank', length: 2, width: 0.4, thickness: 0.1 });
  const two = [
    { name: 'Left run', mesh: plank, origin: [2_000_000.25, 10, -300_000.5] as const },
    { name: 'Right run', mesh: road },
  ];

  // three's loader keeps each object apart; its numbers are doubles until they go into its buffers.
  it('OBJ of two runs: each has its own bounds, a far one too', async () => {
    const [{ bytes }] = (await write('obj', two)) as [NamedBytes];
    const root = new OBJLoader().parse(new TextDecoder().decode(bytes));
    // It makes an object of each group: a run's are those of its parts.
    const boxOfSome = (from: number, to?: number) =>
      root.children.slice(from, to).reduce((box, child) => box.expandByObject(child), new Box3());
    const parts = plank.parts.length;
    expect(root.children).toHaveLength(parts + road.parts.length);
    const right = boxOfSome(parts);
    nearBox({ min: right.min.toArray(), max: right.max.toArray() }, boxOf(road.positions));
    const left = boxOfSome(0, parts);
    const { min, max } = boxOf(plank.positions);
    expect(left.max.x).toBeCloseTo(2_000_000.25 + max[0], 0);
    expect(left.min.z).toBeCloseTo(-300_000.5 + min[2], 1);
    // In the text itself nothing is lost.
    const xs = [...new TextDecoder().decode(bytes).matchAll(/^v (\S+) /gm)].map((m) => Number(m[1]));
    expect(Math.max(...xs)).toBeCloseTo(2_000_000.25 + max[0], 6);
  });

  // glTF 2.0, section 3.7.2.1: the greatest value of an index type is the primitive restart value and must not be an index.
  it.each([65_534, 65_535, 65_536, 65_537])('GLB: a part of exactly %d vertices is sound', async (count) => {
    const positions = Float32Array.from(
      { length: count * 3 },
      (_, i) => Math.sin(i * 12.9898) * (i % 3 === 2 ? 0.5 : 2),
    );
    const normals = Float32Array.from({ length: count * 3 }, (_, i) => (i % 3 === 0 ? 1 : 0));
    const indices = Uint32Array.from({ length: (count - 2) * 3 }, (_, i) => Math.floor(i / 3) + (i % 3));
    const parts = [{ name: 'A', material: 0, start: 0, count: indices.length }];
    const mesh = { ...plank, positions, normals, uvs: new Float32Array(count * 2), indices, parts };
    const [{ bytes }] = (await write('glb', [{ name: 'A', mesh }])) as [NamedBytes];
    const { issues } = await validator.validateBytes(bytes, { maxIssues: 20 });
    expect([issues.numErrors, issues.numWarnings]).toEqual([0, 0]);
    const read = unwrap(await readMesh([{ name: 'a.glb', bytes }]));
    expect(Math.max(...read.indices.subarray(read.indices.length - 3))).toBe(count - 1);
  });

  it('GLB and OBJ hold no material and no image that nothing wears', async () => {
    const mesh = { ...painted, materials: [...painted.materials, { ...painted.materials[0], name: 'Unworn' }] };
    const [{ bytes }] = (await write('glb', [{ name: 'A', mesh }])) as [NamedBytes];
    const document = await buildGltfIo().readBinary(bytes);
    expect(
      document
        .getRoot()
        .listMaterials()
        .map((m) => m.getName()),
    ).toEqual(['Painted']);
    const [, mtl] = await write('obj', [{ name: 'A', mesh }]);
    expect(new TextDecoder().decode(mtl.bytes).match(/^newmtl/gm)).toHaveLength(1);
  });

  // three's MTLLoader tells the same shininess; roughness of it: 1 - sqrt(Ns / 1000) (common practice, no source).
  it('MTL: shininess becomes roughness, and a roughness of its own counts more', async () => {
    const obj =
      'mtllib a.mtl\nv 0 0 0\nv 1 0 0\nv 0 1 0\nusemtl dull\nf 1 2 3\nusemtl shiny\nf 1 2 3\nusemtl said\nf 1 2 3\n';
    const mtl = 'newmtl dull\nNs 0\nnewmtl shiny\nNs 250\nnewmtl said\nPr 0.2\nNs 900\n';
    const shininess = Object.values(new MTLLoader().parse(mtl, '').materialsInfo).map((m) =>
      Number((m as unknown as { ns: string }).ns),
    );
    const { materials } = unwrap(await readMesh([file('a.obj', obj), file('a.mtl', mtl)]));
    const named = (name: string) => materials.find((m) => m.name === name)!.roughness;
    expect(named('dull')).toBe(1 - Math.sqrt(shininess[0] / 1000));
    expect(named('shiny')).toBeCloseTo(1 - Math.sqrt(shininess[1] / 1000), 12);
    expect(named('said')).toBe(0.2);
  });

  // sRGB decoding: IEC 61966-2-1.
  it('PLY: colours of 16 bits run from 0 to 65,535', async () => {
    const head = 'ply\nformat ascii 1.0\nelement vertex 3\nproperty float x\nproperty float y\nproperty float z\n';
    const colours = 'property ushort red\nproperty ushort green\nproperty ushort blue\n';
    const rest =
      'element face 1\nproperty list uchar int vertex_indices\nend_header\n0 0 0 65535 0 32768\n1 0 0 0 65535 13107\n0 1 0 6553 1 2\n3 0 1 2\n';
    const mesh = unwrap(await readMesh([file('a.ply', head + colours + rest)]));
    const linear = (c: number) => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4);
    const wanted = [65535, 0, 32768, 0, 65535, 13107, 6553, 1, 2].map((c) => linear(c / 65535));
    const got = Array.from(mesh.colours!).filter((_, i) => i % 4 < 3);
    got.forEach((c, i) => expect(c).toBeCloseTo(wanted[i], 6));
  });
});

describe('a number that is none', () => {
  it.each(WRITERS.map(({ extensions }) => extensions[0]))(
    'is in no file that is written: %s refuses it and says where',
    async (extension) => {
      for (const key of ['positions', 'normals', 'uvs'] as const) {
        for (const bad of [NaN, Infinity]) {
          const values = road[key].slice();
          values[7] = bad;
          await expect(write(extension, [{ name: 'Broken', mesh: { ...road, [key]: values } }])).rejects.toThrow(
            /Broken holds (NaN|Infinity) at place 7/,
          );
        }
      }
    },
  );
});
