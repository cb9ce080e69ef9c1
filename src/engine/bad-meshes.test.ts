import { Document } from '@gltf-transform/core';
import validator from 'gltf-validator';
import { CLEAN_DEFAULTS } from '../core/mesh/clean/clean-spec';
import { area, volume } from '../core/mesh/measure';
import type { Mesh } from '../core/mesh/mesh';
import { PREPARE_DEFAULTS, type PrepareSpec } from '../core/segment/segment-spec';
import { pathOf } from '../core/testing/curves';
import { unwrap } from '../core/testing/runs';
import type { NamedBytes } from '../formats/format';
import { buildGltfIo } from '../formats/gltf-io';
import { readMesh } from '../formats/registry';
import { JOB_DEFAULTS, newCourse } from '../project/defaults';
import { emptyProject } from '../project/schema';
import { bakeFiles, loadFrom } from './bake';
import { bringMesh } from './bring-mesh';
import { Deriver } from './derive';
import { problemWords } from './problem-words';

type Place = readonly [number, number, number];

const obj = (lines: readonly string[]): NamedBytes => ({
  name: 'bad.obj',
  bytes: new TextEncoder().encode(lines.join('\n')),
});
const vertices = (places: readonly Place[]) => places.map((p) => `v ${p.join(' ')}`);

/** The twelve triangles of a box from 0 to `size` at `at`, numbered from vertex `first` on. */
function box(size: Place, at: Place = [0, 0, 0], first = 1): string[] {
  const corners = [0, 1, 2, 3, 4, 5, 6, 7].map((i): Place => {
    const on = (c: number) => at[c] + ((i >> c) & 1 ? size[c] : 0);
    return [on(0), on(1), on(2)];
  });
  const faces = ['0 2 3 1', '4 5 7 6', '0 1 5 4', '2 6 7 3', '0 4 6 2', '1 3 7 5'];
  return [...vertices(corners), ...faces.map((f) => `f ${f.replace(/\d/g, (d) => String(Number(d) + first))}`)];
}

/** Brings a file, lays it on a bend of some 10 m and bakes it as GLB. */
async function throughAll(files: readonly NamedBytes[], prepare: Partial<PrepareSpec> = {}) {
  const { brought, bytes } = unwrap(await bringMesh(files));
  const source = { from: 'asset' as const, asset: brought.asset, fileName: files[0].name };
  const segment = { id: 's', name: 'Bad', source, prepare: { ...PREPARE_DEFAULTS, ...prepare }, finishes: [] };
  const path = { id: 'p', name: 'Bend', curve: pathOf('smooth', [[0, 0, 0], [5, 0, 2], [9, 1, 0]]) }; // prettier-ignore
  const run = { id: 'r', name: 'Run', visible: true, path: 'p', ...JOB_DEFAULTS, courses: [newCourse('s')] };
  const project = { ...emptyProject('Bad'), segments: [segment], paths: [path], runs: [run] };
  const deriver = new Deriver(loadFrom(new Map([[brought.asset, bytes]])));
  const ready = await deriver.segments.ready(segment);
  const baked = await bakeFiles(project, deriver, 'glb', 'bad');
  return { ready, baked };
}

async function expectSound(files: readonly NamedBytes[]): Promise<Mesh> {
  const { issues } = await validator.validateBytes(files[0].bytes, { maxIssues: 5 });
  expect(issues.messages.filter(({ severity }) => severity < 2)).toEqual([]);
  const mesh = unwrap(await readMesh(files));
  expect(mesh.positions.every(Number.isFinite)).toBe(true);
  expect(mesh.positions.length).toBeGreaterThan(0);
  return mesh;
}

const wordsOf = (result: { ok: boolean; problems?: readonly Parameters<typeof problemWords>[0][] }) =>
  result.ok ? 'ok' : problemWords(result.problems![0]);

describe('a bad mesh', () => {
  it('of no thickness is laid as the sheet it is', async () => {
    const sheet = obj([...vertices([[0, 0, 0], [2, 0, 0], [2, 0, 1], [0, 0, 1]]), 'f 1 4 3 2']); // prettier-ignore
    const { ready, baked } = await throughAll([sheet]);
    expect(unwrap(ready).figures.before).toMatchObject({ openEdges: 4, looseParts: 1 });
    const mesh = await expectSound(unwrap(baked).files);
    expect(area(mesh)).toBeGreaterThan(9);
  });

  it('of no thickness and two sides, as a doubled face, goes through too', async () => {
    const sheet = obj([...vertices([[0, 0, 0], [2, 0, 0], [2, 0, 1], [0, 0, 1]]), 'f 1 4 3 2', 'f 1 2 3 4']); // prettier-ignore
    const mesh = await expectSound(unwrap((await throughAll([sheet])).baked).files);
    expect(Math.abs(volume(mesh))).toBeLessThan(0.01); // the two sides' diagonals differ
  });

  it('without any area is told as such, and one without length along forward too', async () => {
    const needle = obj([...vertices([[0, 0, 0], [1, 0, 0], [2, 0, 0]]), 'f 1 2 3']); // prettier-ignore
    const { baked } = await throughAll([needle], { clean: { ...CLEAN_DEFAULTS, weld: 0 } });
    expect(baked.ok).toBe(true); // a line is still a mesh: it has a length
    const point = obj([...vertices([[1, 1, 1], [1, 1, 1], [1, 1, 1]]), 'f 1 2 3']); // prettier-ignore
    expect(wordsOf((await throughAll([point])).ready)).toMatch(/no length along .*Choose another forward direction/);
    const welded = await throughAll([point], { clean: { ...CLEAN_DEFAULTS, weld: 0.01 } });
    expect(wordsOf(welded.ready)).toMatch(/has no triangles. Choose another mesh/);
  });

  it('of thousands of loose parts is counted, cleaned of specks, and laid', async () => {
    const crumbs = Array.from({ length: 3000 }, (_, i) =>
      box([0.01, 0.01, 0.01], [(i % 60) / 20, Math.floor(i / 60) / 20, 1], 8 * i + 9),
    );
    const scan = obj([...box([3, 1, 0.5]), ...crumbs.flat()]);
    const { ready, baked } = await throughAll([scan], { clean: { ...CLEAN_DEFAULTS, specks: 0.1 } });
    expect(unwrap(ready).figures.before.looseParts).toBe(3001);
    expect(unwrap(ready).figures.after).toMatchObject({ looseParts: 1, triangles: 12, openEdges: 0 });
    await expectSound(unwrap(baked).files);
    await expectSound(unwrap((await throughAll([scan])).baked).files);
  });

  it('with three faces on one edge has that edge counted, and is laid', async () => {
    const fin = obj([...box([2, 0.5, 0.5]), ...vertices([[1, 2, 0]]), 'f 1 2 9']); // prettier-ignore
    const { ready, baked } = await throughAll([fin]);
    expect(unwrap(ready).figures.before).toMatchObject({ crowdedEdges: 1, openEdges: 2 });
    await expectSound(unwrap(baked).files);
  });

  it('without normals and texture coordinates gets normals that look out', async () => {
    const { ready } = await throughAll([obj(box([2, 1, 1]))]);
    const { positions, normals } = unwrap(ready).prepared.mesh;
    for (let v = 0; v < positions.length; v += 3) {
      const outwards = (positions[v] - 1) * normals[v] + (positions[v + 1] - 0.5) * normals[v + 1] + (positions[v + 2] - 0.5) * normals[v + 2]; // prettier-ignore
      expect(outwards).toBeGreaterThan(0);
    }
  });

  it('with more vertices than 16 bits number keeps every index', async () => {
    const bytes = await buildGltfIo().writeBinary(gridDocument(260, 1));
    const mesh = unwrap(await readMesh([{ name: 'grid.glb', bytes }]));
    expect(mesh.positions.length / 3).toBe(261 * 261);
    expect(mesh.indices.reduce((most, i) => Math.max(most, i))).toBe(261 * 261 - 1);
    expect(area(mesh)).toBeCloseTo(1, 5);
  });

  it('under a node of negative scale keeps its outside out', async () => {
    const mirrored = await readGltf(boxDocument([-1, 1, 1]));
    const twice = await readGltf(boxDocument([-2, -3, 1]));
    const thrice = await readGltf(boxDocument([-1, -1, -1]));
    expect([mirrored, twice, thrice].map((mesh) => Math.round(volume(mesh) * 1e6) / 1e6)).toEqual([2, 12, 2]);
    const flat = await readGltf(boxDocument([1, 0, 1]));
    expect(Math.abs(volume(flat))).toBeLessThan(1e-9);
  });
});

async function readGltf(document: Document): Promise<Mesh> {
  const bytes = await buildGltfIo().writeBinary(document);
  const { ready, baked } = await throughAll([{ name: 'bad.glb', bytes }]);
  if (unwrap(ready).prepared.length > 0) await expectSound(unwrap(baked).files);
  return unwrap(await readMesh([{ name: 'bad.glb', bytes }]));
}

/** A square of `side` m in `cells` by `cells`, without normals or texture coordinates. */
function gridDocument(cells: number, side: number): Document {
  const n = cells + 1;
  const positions = Float32Array.from({ length: n * n * 3 }, (_, i) => {
    const v = Math.floor(i / 3);
    return i % 3 === 0 ? ((v % n) * side) / cells : i % 3 === 2 ? (Math.floor(v / n) * side) / cells : 0;
  });
  const indices: number[] = [];
  for (let r = 0; r < cells; r++) {
    for (let c = 0; c < cells; c++) {
      const a = r * n + c;
      indices.push(a, a + n, a + 1, a + 1, a + n, a + n + 1);
    }
  }
  return documentOf(positions, Uint32Array.from(indices), [1, 1, 1]);
}

/** A box of 2 x 1 x 1 m under a node with a scale. */
function boxDocument(scale: [number, number, number]): Document {
  const lines = box([2, 1, 1]);
  const numbers = (key: string) => lines.filter((l) => l.startsWith(key)).map((l) => l.split(' ').slice(1).map(Number));
  const quads = numbers('f').flatMap(([a, b, c, d]) => [a - 1, b - 1, c - 1, a - 1, c - 1, d - 1]);
  return documentOf(Float32Array.from(numbers('v').flat()), Uint32Array.from(quads), scale);
}

function documentOf(
  positions: Float32Array<ArrayBuffer>,
  indices: Uint32Array<ArrayBuffer>,
  scale: [number, number, number],
) {
  const document = new Document();
  const buffer = document.createBuffer();
  const place = document.createAccessor().setType('VEC3').setArray(positions).setBuffer(buffer);
  const list = document.createAccessor().setType('SCALAR').setArray(indices).setBuffer(buffer);
  const primitive = document.createPrimitive().setAttribute('POSITION', place).setIndices(list);
  const node = document.createNode('n').setMesh(document.createMesh('m').addPrimitive(primitive)).setScale(scale);
  document.createScene('Scene').addChild(node);
  return document;
}
