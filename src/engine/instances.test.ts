import validator from 'gltf-validator';
import { InstancedMesh, Matrix4, Vector3, type Mesh as ThreeMesh, type Object3D } from 'three';
import { GLTFLoader } from 'three/examples/jsm/loaders/GLTFLoader.js';
import { volume } from '../core/mesh/measure';
import { unwrap } from '../core/testing/runs';
import type { Repeated } from '../formats/format';
import { readMesh } from '../formats/registry';
import { JOB_DEFAULTS } from '../project/defaults';
import { emptyProject, type Project } from '../project/schema';
import { courseOfSet, madeSegment } from '../project/sets/run-set';
import { bakeFiles, loadFrom } from './bake';
import { Deriver } from './derive';

/** Links round a belt, every other one turned, `size` metres long each. */
function chain(size: number, wheels: number): Project {
  const link = madeSegment('link', 'plank', { length: size, width: size / 2, thickness: size / 4 });
  const rule = { kind: 'pinToPin', gap: -size / 5, slack: 'shared', pairs: true } as const;
  const everyOther = { every: 2, turn: Math.PI / 2, mirrored: false };
  const points = [0, 1].map((i) => ({ position: [i * wheels, 1, 0] as const, radius: 2 }));
  return {
    ...emptyProject('Chain'),
    segments: [link],
    paths: [{ id: 'p', name: 'P', curve: { kind: 'belt', closed: true, points } }],
    runs: [
      {
        ...{ id: 'r', name: 'Chain', visible: true, path: 'p', ...JOB_DEFAULTS },
        courses: [courseOfSet('c', 'link', rule, { fit: { kind: 'pinned' }, laying: { everyOther } })],
      },
    ],
  };
}

const baked = async (project: Project, repeated: Repeated) =>
  unwrap(await bakeFiles(project, new Deriver(loadFrom(new Map())), 'glb', 'chain', { repeated })).files[0].bytes;

/** Every vertex of a file as three puts it. */
async function placesIn(bytes: Uint8Array): Promise<Vector3[]> {
  const { scene } = await new GLTFLoader().parseAsync(bytes.slice().buffer, '');
  scene.updateMatrixWorld(true);
  const places: Vector3[] = [];
  scene.traverse((object: Object3D) => {
    const mesh = object as ThreeMesh;
    if (!mesh.isMesh) return;
    const position = mesh.geometry.getAttribute('position');
    const count = object instanceof InstancedMesh ? object.count : 1;
    for (let k = 0; k < count; k++) {
      const own = new Matrix4();
      if (object instanceof InstancedMesh) object.getMatrixAt(k, own);
      const matrix = mesh.matrixWorld.clone().multiply(own);
      for (let i = 0; i < position.count; i++)
        places.push(new Vector3().fromBufferAttribute(position, i).applyMatrix4(matrix));
    }
  });
  return places;
}

const sorted = (places: readonly Vector3[]) =>
  places.map(({ x, y, z }) => [x, y, z].map((v) => v.toFixed(4).replace('-0.0000', '0.0000')).join()).toSorted();

describe('stiff pieces in a GLB', () => {
  it.each(['nodes', 'gpu'] as const)('lie where plain meshes do, by three’s loader: %s', async (how) => {
    const project = chain(0.5, 5);
    const [plain, repeated] = await Promise.all([baked(project, 'plain'), baked(project, how)]);
    const { issues } = await validator.validateBytes(repeated, { maxIssues: 5 });
    expect([issues.numErrors, issues.numWarnings]).toEqual([0, 0]);
    const [a, b] = [await placesIn(plain), await placesIn(repeated)];
    expect(a).toHaveLength(b.length);
    const [one, other] = [sorted(a), sorted(b)];
    // Rounded to a tenth of a millimetre, a few fall to either side.
    expect(one.filter((place, i) => place !== other[i]).length).toBeLessThan(one.length / 10);
    const back = unwrap(await readMesh([{ name: 'chain.glb', bytes: repeated }]));
    const whole = unwrap(await readMesh([{ name: 'chain.glb', bytes: plain }]));
    expect(volume(back) / volume(whole)).toBeCloseTo(1, 4);
  });

  it('10,000 links are a file below 3 MB as instances, and far more as plain meshes', async () => {
    const project = chain(0.0125, 43.717);
    const gpu = await baked(project, 'gpu');
    const nodes = await baked(project, 'nodes');
    expect(gpu.length).toBeLessThan(1e6);
    expect(nodes.length).toBeLessThan(3e6);
    const { json } = readJson(gpu);
    const counts = json.nodes.flatMap(({ extensions }) => extensions ? [json.accessors[extensions.EXT_mesh_gpu_instancing.attributes.TRANSLATION].count] : []); // prettier-ignore
    expect(counts.reduce((sum, count) => sum + count, 0)).toBeGreaterThan(9_900);
  });
});

/** The JSON of a GLB (glTF 2.0, section 4.4). */
function readJson(bytes: Uint8Array) {
  const view = new DataView(bytes.buffer, bytes.byteOffset);
  const text = new TextDecoder().decode(bytes.subarray(20, 20 + view.getUint32(12, true)));
  interface Instanced {
    readonly nodes: readonly { readonly extensions?: { readonly EXT_mesh_gpu_instancing: { readonly attributes: { readonly TRANSLATION: number } } } }[]; // prettier-ignore
    readonly accessors: readonly { readonly count: number }[];
  }
  return { json: JSON.parse(text) as Instanced };
}
