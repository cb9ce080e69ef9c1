import fc from 'fast-check';
import { BufferAttribute, BufferGeometry, Mesh as ThreeMesh, MeshBasicMaterial } from 'three';
import { PLYExporter } from 'three/examples/jsm/exporters/PLYExporter.js';
import { STLExporter } from 'three/examples/jsm/exporters/STLExporter.js';
import { PLYLoader } from 'three/examples/jsm/loaders/PLYLoader.js';
import { STLLoader } from 'three/examples/jsm/loaders/STLLoader.js';
import { boxOf } from '../core/mesh/box';
import { area, volume } from '../core/mesh/measure';
import type { Mesh } from '../core/mesh/mesh';
import { makeSegmentMesh } from '../core/segment/registry';
import { unwrap } from '../core/testing/runs';
import { readMesh, writerFor } from './registry';

const tube = makeSegmentMesh({ kind: 'tube', length: 1, radius: 0.3, sides: 9 });
const colours = Float32Array.from({ length: tube.positions.length }, (_, i) => ((i * 37) % 101) / 101);

function threeMesh({ positions, normals, uvs, indices }: Mesh): ThreeMesh {
  const geometry = new BufferGeometry();
  geometry.setIndex(new BufferAttribute(indices, 1));
  geometry.setAttribute('position', new BufferAttribute(positions, 3));
  geometry.setAttribute('normal', new BufferAttribute(normals, 3));
  geometry.setAttribute('uv', new BufferAttribute(uvs, 2));
  geometry.setAttribute('color', new BufferAttribute(colours, 3));
  return new ThreeMesh(geometry, new MeshBasicMaterial());
}

const bytesOf = (out: string | ArrayBuffer | DataView): Uint8Array<ArrayBuffer> =>
  typeof out === 'string'
    ? new TextEncoder().encode(out)
    : new Uint8Array(out instanceof DataView ? (out.buffer as ArrayBuffer) : out).slice();
const read = async (name: string, bytes: Uint8Array) => readMesh([{ name, bytes }]);

// The exporter hands its result to a callback in the next frame of a page; here it is called at once.
globalThis.requestAnimationFrame ??= (callback) => {
  callback(0);
  return 0;
};

const PLY_KINDS = {
  ascii: {},
  little: { binary: true, littleEndian: true },
  big: { binary: true, littleEndian: false },
};
const plyBytes = (options: object) => {
  const out = new PLYExporter().parse(threeMesh(tube), () => {}, options);
  return bytesOf(out!);
};

describe('PLY', () => {
  // three's exporter writes, and three's loader reads, the same bytes.
  it.each(Object.entries(PLY_KINDS))('%s is read as three reads it', async (_, options) => {
    const bytes = plyBytes(options);
    const mesh = unwrap(await read('scan.ply', bytes));
    const theirs = new PLYLoader().parse(bytes.buffer);
    const place = theirs.getAttribute('position').array as Float32Array;
    expect(mesh.positions).toHaveLength(place.length);
    mesh.positions.forEach((x, i) => expect(Math.abs(x - place[i])).toBeLessThan(1e-5));
    expect([...mesh.indices]).toEqual([...theirs.index!.array]);
    const colour = theirs.getAttribute('color').array as Float32Array;
    for (let v = 0; v < place.length / 3; v++)
      for (let c = 0; c < 3; c++) expect(Math.abs(mesh.colours![v * 4 + c] - colour[v * 3 + c])).toBeLessThan(0.005);
    expect(Math.abs(volume(mesh) / volume(tube) - 1)).toBeLessThan(1e-5);
  });

  it('turns polygons into fans and skips what it does not know', async () => {
    const text = `ply
format ascii 1.0
comment made here
element vertex 4
property float x
property float y
property float z
property list uchar float weights
element lamp 1
property int watt
element face 1
property uchar flags
property list uchar int vertex_indices
end_header
0 0 0 2 1 1
1 0 0 0
1 1 0 1 3
0 1 0 0
40
7 4 0 1 2 3
`;
    const mesh = unwrap(await read('q.ply', new TextEncoder().encode(text)));
    expect([...mesh.indices]).toEqual([0, 1, 2, 0, 2, 3]);
    expect(area(mesh)).toBeCloseTo(1, 12);
  });

  const problem = async (text: string) => {
    const result = await read('q.ply', new TextEncoder().encode(text));
    return result.ok ? undefined : result.problems[0];
  };
  const head = (vertices: number | string, faces: number) =>
    `ply\nformat ascii 1.0\nelement vertex ${vertices}\nproperty float x\nproperty float y\nproperty float z\nelement face ${faces}\nproperty list uchar int vertex_indices\nend_header\n`;
  it('says what is wrong and where', async () => {
    expect(await problem('ply\nformat morse 1.0\nend_header\n')).toMatchObject({
      code: 'ply.header',
      facts: { line: 2 },
    });
    expect(await problem('ply\nformat ascii 1.0\n')).toMatchObject({ code: 'ply.header' });
    expect(await problem(head('many', 1))).toMatchObject({ code: 'ply.header', facts: { line: 3 } });
    expect(await problem(head(4_000_000_000, 1))).toMatchObject({
      code: 'ply.counts',
      facts: { count: 4_000_000_000 },
    });
    expect(await problem(`${head(3, 1)}0 0 0 1 0 0 0 1`)).toMatchObject({ code: 'file.truncated' });
    expect(await problem(`${head(3, 1)}0 0 0 1 0 0 0 1 0\n2 0 1\n`)).toMatchObject({
      code: 'ply.face',
      facts: { corners: 2 },
    });
    expect(await problem(`${head(3, 1)}0 0 0 1 0 0 0 1 0\n3 0 1 7\n`)).toMatchObject({
      code: 'mesh.index-out-of-range',
    });
    expect(await problem(`${head(3, 1)}0 0 0 1 0 0 0 1 0\n3 0 1 -1\n`)).toMatchObject({
      code: 'mesh.index-out-of-range',
    });
    expect(await problem(`${head(3, 1)}0 0 0 one 0 0 0 1 0\n3 0 1 2\n`)).toMatchObject({ code: 'mesh.not-a-number' });
    expect(await problem(`${head(3, 1)}0 0 0 1 0 0 0 1 0\n1e300 0 1 2\n`)).toMatchObject({ code: 'ply.face' });
  });
});

describe('STL', () => {
  it.each([true, false])('that three writes is read as three reads it (binary: %s)', async (binary) => {
    const out = new STLExporter().parse(threeMesh(tube), { binary: binary as true });
    const bytes = bytesOf(out);
    const mesh = unwrap(await read('part.stl', bytes));
    const theirs = new STLLoader().parse(bytes.buffer).getAttribute('position').array as Float32Array;
    expect(mesh.positions).toHaveLength(theirs.length);
    mesh.positions.forEach((x, i) => expect(Math.abs(x - theirs[i])).toBeLessThan(1e-6));
    expect(Math.abs(volume(mesh) / volume(tube) - 1)).toBeLessThan(1e-5);
  });

  it('comes back from our own writer with the same triangles, z up', async () => {
    const bytes = (await writerFor('stl')!.write!([{ name: 'Tube', mesh: tube }], 'a'))[0].bytes;
    const mesh = unwrap(await read('a.stl', bytes));
    expect(mesh.indices).toHaveLength(tube.indices.length);
    const [a, b] = [boxOf(mesh.positions), boxOf(tube.positions)];
    expect(a.max[2]).toBeCloseTo(b.max[1], 6);
    expect(a.max[0]).toBeCloseTo(b.max[0], 6);
  });

  it('says what is wrong and where', async () => {
    const code = async (bytes: Uint8Array) => {
      const result = await read('a.stl', bytes);
      return result.ok ? 'ok' : result.problems[0];
    };
    const cut = new Uint8Array(84 + 50);
    new DataView(cut.buffer).setUint32(80, 2, true);
    expect(await code(cut)).toMatchObject({ code: 'file.truncated', facts: { needed: 184 } });
    new DataView(cut.buffer).setUint32(80, 0xffffffff, true);
    expect(await code(cut)).toMatchObject({ code: 'mesh.too-large' });
    const text = 'solid a\nfacet normal 0 0 1\nouter loop\nvertex 0 0 0\nvertex 1 zero 0\n';
    expect(await code(new TextEncoder().encode(text))).toMatchObject({ code: 'stl.number', facts: { line: 5 } });
    expect(await code(new TextEncoder().encode('solid a\nfacet\nendsolid'))).toMatchObject({ code: 'mesh.empty' });
  });
});

describe('damaged scans', () => {
  const samples = { ...PLY_KINDS };
  it.each([...Object.keys(samples), 'stl'])('%s: a mesh or a problem, whatever the bytes', async (kind) => {
    const good =
      kind === 'stl'
        ? bytesOf(new STLExporter().parse(threeMesh(tube), { binary: true }))
        : plyBytes(samples[kind as 'ascii']);
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.tuple(fc.nat(good.length - 1), fc.nat(255)), { maxLength: 20 }),
        fc.nat(good.length),
        fc.boolean(),
        async (changes, length, isCut) => {
          const bytes = good.slice(0, isCut ? length : undefined);
          for (const [at, value] of changes) if (at < bytes.length) bytes[at] = value;
          const result = await read(kind === 'stl' ? 'a.stl' : 'a.ply', bytes);
          if (result.ok) expect(result.value.positions.every(Number.isFinite)).toBe(true);
          else expect(result.problems.length).toBeGreaterThan(0);
        },
      ),
      { numRuns: 150, seed: 5 },
    );
  });
});
