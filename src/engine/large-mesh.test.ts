import { DEFAULT_JOB, sourceWith } from './testing/sources';
import { unwrap } from '../core/testing/runs';
import { glb } from '../formats/glb';
import type { Mesh } from '../core/mesh/mesh';
import { PLAIN_MATERIAL } from '../core/mesh/mesh';
import { COURSE_DEFAULTS, newCourse, JOB_DEFAULTS } from '../project/defaults';
import { emptyProject } from '../project/schema';
import { PREPARE_DEFAULTS } from '../core/segment/segment-spec';
import { bringMesh } from './bring-mesh';
import { BENDING_SHARE, bakeFiles, loadFrom } from './bake';
import { Deriver } from './derive';

/** A rippled strip of `columns` by `rows` quads, 4 m long. */
function strip(columns: number, rows: number): Mesh {
  const count = (columns + 1) * (rows + 1);
  const positions = new Float32Array(count * 3);
  const normals = new Float32Array(count * 3);
  const indices = new Uint32Array(columns * rows * 6);
  for (let i = 0, v = 0; i <= columns; i++) {
    for (let k = 0; k <= rows; k++, v += 3) {
      positions[v] = (4 * i) / columns;
      positions[v + 1] = 0.05 * Math.sin(i * 0.1 + k);
      positions[v + 2] = k / rows - 0.5;
      normals[v + 1] = 1;
    }
  }
  for (let i = 0, at = 0; i < columns; i++) {
    for (let k = 0; k < rows; k++) {
      const a = i * (rows + 1) + k;
      const b = a + rows + 1;
      indices[at++] = a;
      indices[at++] = a + 1;
      indices[at++] = b + 1;
      indices[at++] = a;
      indices[at++] = b + 1;
      indices[at++] = b;
    }
  }
  const part = { name: 'Strip', material: 0, start: 0, count: indices.length };
  return {
    positions,
    normals,
    uvs: new Float32Array(count * 2),
    indices,
    parts: [part],
    materials: [PLAIN_MATERIAL],
    images: [],
  };
}

/** What a run of a strip on a bend of 6 m follows from, the strip brought as a file. */
async function hugeRun(columns: number, rows: number) {
  const files = await glb.write!([{ name: 'Scan', mesh: strip(columns, rows) }], 'scan');
  const { brought, bytes } = unwrap(await bringMesh(files));
  const segment = {
    id: 's',
    name: 'Scan',
    source: { from: 'asset' as const, asset: brought.asset, fileName: 'scan.glb' },
    prepare: PREPARE_DEFAULTS,
    finishes: [],
  };
  const curve = {
    kind: 'smooth' as const,
    closed: false,
    points: [
      [0, 0, 0],
      [3, 0, 1],
      [6, 0, 0],
    ].map((p) => ({ position: p as [number, number, number] })),
  };
  return { segment, curve, assets: new Map([[brought.asset, bytes]]), triangles: brought.triangles };
}

it('brings and lays a mesh of 2 million triangles, and refuses one above the limit', async () => {
  const { segment, curve, assets, triangles } = await hugeRun(2000, 500);
  expect(triangles).toBe(2_000_000);
  const derived = unwrap(await new Deriver(loadFrom(assets)).derive(sourceWith({ segment, curve, job: DEFAULT_JOB })));
  expect(derived.courses[0].laid.layout.placements).toHaveLength(2);
  const one = strip(1, 1);
  const indices = new Uint32Array(3 * 4_000_001);
  const many = { ...one, indices, parts: [{ ...one.parts[0], count: indices.length }] };
  const tooLarge = await glb.write!([{ name: 'Scan', mesh: many }], 'scan');
  expect(await bringMesh(tooLarge)).toMatchObject({
    ok: false,
    problems: [{ code: 'mesh.too-large', facts: { most: 4_000_000 } }],
  });
}, 120_000);

it.each(['glb', 'obj', 'stl'])(
  'tells the steps of baking one huge piece (%s)',
  async (kind) => {
    const { segment, curve, assets } = await hugeRun(600, 400);
    const rule = { kind: 'onePiece' as const, lies: 'reach' as const };
    const courses = [newCourse('s', { laying: { ...COURSE_DEFAULTS.laying, rule } })];
    const run = { id: 'r', name: 'Scan', visible: true, path: 'p', ...JOB_DEFAULTS, courses };
    const paths = [{ id: 'p', name: 'Bend', curve }];
    const project = { ...emptyProject('Scan'), segments: [segment], paths, runs: [run] };
    const shares: number[] = [];
    unwrap(await bakeFiles(project, new Deriver(loadFrom(assets)), kind, 'a', { onProgress: (s) => shares.push(s) }));
    const steps = [0, ...shares].map((share, i, all) => (all[i + 1] ?? 1) - share);
    expect(Math.max(...steps)).toBeLessThan(0.36);
    expect(Math.min(...steps)).toBeGreaterThanOrEqual(0);
    for (const [from, to] of [
      [0, BENDING_SHARE],
      [0.65, 1],
    ] as const) {
      expect(shares.filter((share) => share > from && share < to).length).toBeGreaterThan(1);
    }
  },
  120_000,
);
