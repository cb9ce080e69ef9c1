import { decode, encode } from 'fast-png';
import validator from 'gltf-validator';
import {
  AnimationMixer,
  InstancedMesh,
  Matrix4,
  Mesh as ThreeMesh,
  Vector3,
  type MeshStandardMaterial,
  type Object3D,
} from 'three';
import { MeshBVH } from 'three-mesh-bvh';
import { GLTFLoader } from 'three/examples/jsm/loaders/GLTFLoader.js';
import type { FitSpec } from '../core/layout/fit-registry';
import { strewn } from '../core/layout/fits/strewn';
import type { MaskSpec } from '../core/mesh/mask-registry';
import { unwrap } from '../core/testing/runs';
import { readMesh } from '../formats/registry';
import { setCoat } from '../project/commands/dressing';
import { setMotion } from '../project/commands/motion';
import { setStep } from '../project/commands/runs';
import { addCourse } from '../project/commands/courses';
import { FINISH_DEFAULTS, JOB_DEFAULTS, PLAIN_FINISH } from '../project/defaults';
import { assetIdsOf, emptyProject, type Path, type Project } from '../project/schema';
import { madeDressing } from '../project/sets/dressing-parts';
import { courseOfSet, madeSegment } from '../project/sets/run-set';
import { bakeFiles, loadFrom } from './bake';
import { bakeMoving } from './bake-moving';
import { coverImage } from './cover-image';
import { Deriver } from './derive';

const FAR = 1e6;

/** A run of one segment along a path. */
function runOf(kind: 'kerbedLane' | 'tube' | 'plank', change: object, curve: Path['curve']): Project {
  return {
    ...emptyProject('Dressed'),
    segments: [madeSegment('ground', kind, change)],
    paths: [{ id: 'p', name: 'P', curve }],
    runs: [
      {
        ...{ id: 'r', name: 'Run', visible: true, path: 'p', ...JOB_DEFAULTS },
        courses: [courseOfSet('main', 'ground', { kind: 'fillStretch', gap: 0 })],
      },
    ],
  };
}

const straight = (...points: readonly (readonly [number, number, number])[]): Path['curve'] => ({
  ...{ kind: 'straight', closed: false },
  points: points.map((position) => ({ position })),
});

const bytesOf = async (project: Project, format = 'glb', assets = new Map<string, Uint8Array>()) =>
  unwrap(
    await bakeFiles(project, new Deriver(loadFrom(assets), async (id) => assets.get(id)), format, 'dressed', {
      repeated: format === 'glb' ? 'gpu' : undefined,
    }),
  ).files[0].bytes;

/** Objects of a GLB by three's loader, checked by Khronos's validator before. */
async function sceneOf(bytes: Uint8Array): Promise<readonly ThreeMesh[]> {
  const { issues } = await validator.validateBytes(bytes, { maxIssues: 5 });
  expect([issues.numErrors, issues.numWarnings]).toEqual([0, 0]);
  const { scene } = await new GLTFLoader().parseAsync(bytes.slice().buffer, '');
  scene.updateMatrixWorld(true);
  const found: ThreeMesh[] = [];
  scene.traverse((object: Object3D) => object instanceof ThreeMesh && found.push(object));
  return found;
}

/** Where a point of each of an object's places lies. */
function placesOf(object: ThreeMesh, own: Vector3): Vector3[] {
  const count = object instanceof InstancedMesh ? object.count : 1;
  return Array.from({ length: count }, (_, i) => {
    const place = new Matrix4();
    if (object instanceof InstancedMesh) object.getMatrixAt(i, place);
    return own.clone().applyMatrix4(object.matrixWorld.clone().multiply(place));
  });
}

const dressed = (project: Project, kind: Parameters<typeof madeDressing>[0], change: object = {}, fit?: object) => {
  const { segment, course } = madeDressing(kind, { segment: 'thing', course: 'things' }, undefined);
  const whole = { ...course, ...change, ...(fit && { fit: { ...strewn.defaults, ...course.fit, ...fit } as FitSpec }) };
  return addCourse(project, 'r', whole, [segment]);
};

describe('what stands on a run', () => {
  it('stands on its kerb, 1,000 km away, whatever lies below it', async () => {
    const road = runOf('kerbedLane', {}, straight([FAR, 3, 0], [FAR + 40, 5, 0]));
    const objects = await sceneOf(await bytesOf(dressed(road, 'bollard', { side: 3.3 })));
    const bollards = objects.filter((object) => object instanceof InstancedMesh);
    const feet = bollards.flatMap((object) => {
      const { boundingBox } = (object.geometry.computeBoundingBox(), object.geometry);
      const { min, max } = boundingBox!;
      return placesOf(object, new Vector3((min.x + max.x) / 2, 0, (min.z + max.z) / 2));
    });
    expect(feet.length).toBeGreaterThan(8);
    // Kerbs lie 0.12 m above the edge of the lane, which is 2.5 % of 3.2 m below its crown; the road climbs by 2 in 40.
    const kerb = 0.12 - 3.2 * 0.025;
    const climb = Math.atan2(2, 40);
    for (const foot of feet) {
      expect(foot.z).toBeCloseTo(3.3, 4);
      // The kerb lies square to the climbing road; 32-bit places count from the node, not from the world.
      const along = foot.x - FAR + kerb * Math.sin(climb);
      expect(Math.abs(foot.y - (3 + along * Math.tan(climb) + kerb * Math.cos(climb)))).toBeLessThan(0.002);
    }
  });

  it('stays on a run that thins: nearer to the path, and smaller, as that is', async () => {
    const bar = runOf('plank', { length: 1, width: 0.8, thickness: 0.4 }, straight([0, 0, 0], [10, 0, 0]));
    const keys = [{ station: 0, value: 1 }, { station: 10, value: 0.25 }]; // prettier-ignore
    const lane = { blend: 'straight', keys } as const;
    const thinning = setStep(bar, 'r', 'shape', { lanes: { gaugeUp: lane, gaugeSide: lane } });
    const objects = await sceneOf(await bytesOf(dressed(thinning, 'cleat', { side: 0.3 })));
    const cleats = objects.filter((object) => object instanceof InstancedMesh);
    const feet = cleats.flatMap((object) => {
      const { boundingBox } = (object.geometry.computeBoundingBox(), object.geometry);
      return placesOf(object, new Vector3((boundingBox!.min.x + boundingBox!.max.x) / 2, 0, 0));
    });
    expect(feet.length).toBeGreaterThan(3);
    for (const { x, y, z } of feet) {
      const gauge = 1 - 0.075 * x;
      expect(y).toBeCloseTo(0.4 * gauge, 3);
      expect(z).toBeCloseTo(0.3 * gauge, 3);
    }
  });

  it('hangs under it, or goes round it', async () => {
    const pipe = runOf('tube', { length: 0.5, radius: 0.1 }, straight([0, 1, 0], [6, 1, 0]));
    const hung = await sceneOf(await bytesOf(dressed(pipe, 'bracket')));
    const arm = hung.find((object) => object instanceof InstancedMesh)!;
    for (const place of placesOf(arm, new Vector3(0, 0, 0))) expect(place.y).toBeCloseTo(0.9, 4);
    const box = { min: [0, -0.1, -0.1], max: [0.5, 0.1, 0.1] } as const;
    const { segment } = madeDressing('clip', { segment: 's', course: 'c' }, { box, length: 6 });
    expect(segment.source).toMatchObject({ spec: { radius: Math.hypot(0.1, 0.1) } });
  });
});

describe('what is strewn over a run', () => {
  it('lies on a steep closed loop, 1,000 km away, square to it, everywhere', async () => {
    const points = [[0, 0, 0], [6, 5, 0], [6, 9, 6], [0, 4, 6]].map(([x, y, z]) => ({ position: [FAR + x, y, z] as const })); // prettier-ignore
    const loop = runOf('tube', { length: 0.5, radius: 0.2 }, { kind: 'smooth', closed: true, points });
    const fit = { density: 20, within: Math.PI, tilt: 0, least: 1, greatest: 1 };
    const objects = await sceneOf(await bytesOf(dressed(loop, 'stone', {}, fit)));
    const stones = objects.find((object) => object instanceof InstancedMesh) as InstancedMesh;
    const tube = objects.find((object) => object !== stones)!;
    // By an independent library: how far each foot is from the tube's triangles.
    tube.geometry.applyMatrix4(tube.matrixWorld.clone().setPosition(0, 0, 0));
    const skin = new MeshBVH(tube.geometry);
    const off = new Vector3().setFromMatrixPosition(tube.matrixWorld);
    const { boundingBox } = (stones.geometry.computeBoundingBox(), stones.geometry);
    const middle = (boundingBox!.min.x + boundingBox!.max.x) / 2;
    const feet = placesOf(stones, new Vector3(middle, 0, 0));
    expect(feet.length).toBeGreaterThan(400);
    // Both lie on chords, of the section and along the path: 2 mm cover the bend's tolerance, 0.2 mm, and single precision about the node.
    for (const foot of feet) expect(skin.closestPointToPoint(foot.sub(off))!.distance).toBeLessThan(0.002);
  });

  it('grows on the bank of a road as it is added: beside the kerbs, upright, none on the lanes', async () => {
    const road = runOf('kerbedLane', {}, straight([0, 3, 0], [20, 3, 0]));
    const objects = await sceneOf(await bytesOf(dressed(road, 'tuft')));
    const feet = objects.flatMap((object) => (object instanceof InstancedMesh ? placesOf(object, new Vector3()) : []));
    expect(feet.length).toBeGreaterThan(100);
    // Lanes are 3.2 m wide, kerbs 0.26 m; a tuft is some 0.2 m wide.
    for (const foot of feet) expect(Math.abs(foot.z)).toBeGreaterThan(3.46 - 0.25);
  });

  it('is told where the run has nothing else', async () => {
    const alone = runOf('plank', {}, straight([0, 0, 0], [4, 0, 0]));
    const [run] = alone.runs;
    const courses = [{ ...run.courses[0], fit: strewn.defaults as FitSpec }];
    const baked = await bakeFiles(
      { ...alone, runs: [{ ...run, courses }] },
      new Deriver(loadFrom(new Map())),
      'glb',
      'a',
    );
    expect(baked).toMatchObject({ ok: false, problems: [{ code: 'strewn.no-surface' }] });
  });
});

describe('a dressed run that moves', () => {
  it('takes along what lies on it: half uncovered, what lies on the other half is not there', async () => {
    const plain = dressed(runOf('plank', { length: 1, width: 0.6 }, straight([0, 0, 0], [8, 0, 0])), 'stone', {}, { density: 12, seed: 3 }); // prettier-ignore
    const growth = { kind: 'uncover', seconds: 2, tip: 0 } as const;
    const project = setMotion(plain, 'r', { growth, easing: { kind: 'steady' } });
    const range = { first: 1, last: 25, framesPerSecond: 12 };
    const moving = await bakeMoving(project, new Deriver(loadFrom(new Map())), 'a', { by: 'joints', most: 20, range, run: 'Run' }); // prettier-ignore
    const { bytes } = unwrap(moving).files[0];
    const { issues } = await validator.validateBytes(bytes, { maxIssues: 5 });
    expect([issues.numErrors, issues.numWarnings]).toEqual([0, 0]);
    const { scene, animations } = await new GLTFLoader().parseAsync(bytes.slice().buffer, '');
    const mixer = new AnimationMixer(scene);
    mixer.clipAction(animations[0]).play();
    const shown = (time: number): number[] => {
      mixer.setTime(time);
      scene.updateMatrixWorld(true);
      const stones: number[] = [];
      scene.traverse((node) => {
        if (!(node instanceof ThreeMesh) || (node.material as MeshStandardMaterial).name !== 'Stone') return;
        if (new Vector3().setFromMatrixScale(node.matrixWorld).y > 0.01)
          stones.push(node.getWorldPosition(new Vector3()).x);
      });
      return stones;
    };
    const all = shown(1.99);
    expect(all.length).toBeGreaterThan(30);
    const half = shown(1);
    expect(half.length).toBeGreaterThan(all.length * 0.3);
    expect(half.length).toBeLessThan(all.length * 0.7);
    for (const x of half) expect(x).toBeLessThan(4.4);
  });
});

describe('a coat in a file', () => {
  const mask: MaskSpec = { kind: 'slope', within: 1.2, fade: 0.6, ragged: 0.5, grain: 0.1 };
  const finish = { ...PLAIN_FINISH, colour: '#405020' };
  const bare = runOf('tube', { length: 0.5, radius: 0.2 }, straight([0, 1, 0], [4, 1, 0]));
  const coated = setCoat(bare, 'ground', { ...FINISH_DEFAULTS, part: 'Skin' }, { mask, finish });

  it('is a second material, seen through by the opacity of its vertices, a little above', async () => {
    const objects = await sceneOf(await bytesOf(coated));
    const coat = objects.find(({ material }) => (material as MeshStandardMaterial).transparent)!;
    const colours = coat.geometry.getAttribute('color');
    const opacities = Array.from({ length: colours.count }, (_, i) => colours.getW(i));
    expect(Math.min(...opacities)).toBeLessThan(0.1);
    expect(Math.max(...opacities)).toBe(1);
    const out = coat.geometry.getAttribute('position');
    for (let i = 0; i < out.count; i++) expect(Math.hypot(out.getY(i) - 1, out.getZ(i))).toBeCloseTo(0.2 + 5e-4, 4);
    const base = objects.find(({ material }) => (material as MeshStandardMaterial).name === 'Skin')!;
    expect((base.material as MeshStandardMaterial).transparent).toBe(false);
  });

  it('is cut out in OBJ, and left out of STL and PLY', async () => {
    const counts = async (project: Project, format: string) =>
      unwrap(await readMesh([{ name: `a.${format}`, bytes: await bytesOf(project, format) }])).indices.length;
    expect(await counts(coated, 'obj')).toBeGreaterThan(await counts(bare, 'obj'));
    for (const format of ['stl', 'ply']) expect(await counts(coated, format)).toBe(await counts(bare, format));
  });

  it('lies where an image is light, whatever kind of PNG that is; others are refused in words', async () => {
    const asset = 'a'.repeat(64);
    const said: MaskSpec = { kind: 'map', asset, fileName: 'wear.png' };
    const project = setCoat(bare, 'ground', { ...FINISH_DEFAULTS, part: 'Skin' }, { mask: said, finish });
    expect(assetIdsOf(project)).toEqual([asset]);
    const grey = encode({ width: 2, height: 1, data: Uint8Array.of(255, 0), channels: 1, depth: 8 });
    const back = unwrap(
      await readMesh([{ name: 'a.glb', bytes: await bytesOf(project, 'glb', new Map([[asset, grey]])) }]),
    );
    const coat = back.materials.find(({ alpha }) => alpha === 'blend')!;
    expect([...decode(back.images[coat.colourImage!].bytes).data]).toEqual([255, 255, 255, 255, 255, 255, 255, 0]);
    expect(back.materials.find(({ alpha }) => alpha === 'opaque')!.colourImage).toBeUndefined();
    const refused = await bakeFiles(
      project,
      new Deriver(loadFrom(new Map()), async () => Uint8Array.of(1, 2, 3)),
      'glb',
      'a',
    );
    expect(refused).toMatchObject({ ok: false, problems: [{ code: 'image.not-png' }] });
  });
});

describe('coverImage', () => {
  // 0.299 R + 0.587 G + 0.114 B (ITU-R BT.601, 2.5.1).
  it('is white, and as opaque as the image was light', () => {
    const data = Uint8Array.of(255, 0, 0, 255, 0, 255, 0, 255, 0, 0, 255, 255, 255, 255, 255, 127);
    const cover = decode(coverImage(encode({ width: 4, height: 1, data, channels: 4, depth: 8 }))!);
    expect([...cover.data]).toEqual([255, 255, 255, 76, 255, 255, 255, 150, 255, 255, 255, 29, 255, 255, 255, 127]);
    const deep = encode({ width: 1, height: 1, data: Uint16Array.of(32768), channels: 1, depth: 16 });
    expect(decode(coverImage(deep)!).data[3]).toBe(128);
    expect(coverImage(Uint8Array.of(0, 1))).toBeUndefined();
  });
});
