import { unwrap } from '../core/testing/runs';
import { isClosed } from '../core/mesh/is-closed';
import { makeSegmentMesh } from '../core/segment/registry';
import { PREPARE_DEFAULTS } from '../core/segment/segment-spec';
import { writerFor } from '../formats/registry';
import { changeRun, setStep } from '../project/commands/runs';

import { movePoint } from '../project/commands/paths';
import { causeway, saltgrassLanding } from '../project/samples';
import { emptyProject, type Project } from '../project/schema';
import { BENDING_SHARE, bakeFiles, bakeProject, loadFrom } from './bake';
import { bringMesh } from './bring-mesh';
import { Deriver } from './derive';
import { problemWords } from './problem-words';

const deriver = () => new Deriver(loadFrom(new Map()));

describe('bakeProject', () => {
  it('bakes the demo: 32 pieces of road on 128 m of path, and the drain as one', async () => {
    const { scene, reports } = unwrap(await bakeProject(causeway(), deriver(), { frames: 11 }));
    const [road, drain] = reports;
    expect(scene.map(({ name }) => name)).toEqual(['Causeway', 'Kerb drain']);
    expect(isClosed(scene[1].mesh)).toBe(true);
    expect(road.placements).toHaveLength(32);
    expect(drain.placements).toHaveLength(1);
    expect(road.pathLength).toBeGreaterThan(128);
    expect(road.pathLength).toBeLessThan(129);
    expect(road.tightestRadius!).toBeGreaterThan(4);
    expect(road.findings).toEqual([]);
    const last = road.placements[31];
    expect(Math.abs(last.station + last.length - road.pathLength)).toBeLessThan(1e-6);
    expect(road.frames).toHaveLength(11);
    expect(road.frames![10].position[0]).toBeCloseTo(46, 9);
    expect(road.vertices).toBe(scene[0].mesh.positions.length / 3);
    expect(road.triangles).toBe(scene[0].mesh.indices.length / 3);
  });

  it('bakes every run of the landing, each with nothing to find', async () => {
    const landing = saltgrassLanding();
    const { scene, reports } = unwrap(await bakeProject(landing, deriver()));
    expect(scene).toHaveLength(landing.runs.reduce((sum, { courses }) => sum + courses.length, 0));
    for (const { run, findings, placements, pathLength } of reports) {
      expect([run, findings]).toEqual([run, []]);
      for (const { stretch } of placements) expect(Math.abs(stretch - 1)).toBeLessThan(0.05);
      expect(pathLength).toBeGreaterThan(1);
    }
    const rope = scene.find(({ name }) => name === 'Mooring line')!;
    expect(isClosed(rope.mesh)).toBe(true); // 37 pieces, and no seam between them
  });

  it('makes guides far away near themselves too', async () => {
    const landing = saltgrassLanding();
    const [first] = landing.guides;
    const far = { ...first, name: 'Far', position: [1e6, 3, -999_999.7] as const };
    const { scene } = unwrap(await bakeProject({ ...landing, guides: [first, far] }, deriver(), { guides: true }));
    const guides = scene.filter(({ name }) => name === first.name || name === 'Far');
    const [near, away] = guides.map(({ mesh }) => mesh.positions);
    expect(guides.at(-1)).toMatchObject({ name: 'Far', origin: [1e6, 3, -999_999.7] });
    const [px, py, pz] = first.position;
    away.forEach((v, i) => expect(Math.abs(v + [px, py, pz][i % 3] - near[i])).toBeLessThan(1e-5));
  });

  it('fills the path with a coil, whatever its length', async () => {
    const landing = { ...saltgrassLanding(), keyed: [] };
    const [cord] = unwrap(await bakeProject(landing, deriver(), { run: 'Lamp cord' })).reports;
    expect(cord.placements[0].stretch).toBeCloseTo(1, 4);
    const { points } = landing.paths.find(({ id }) => id === 'lamp-cord-path')!.curve;
    const lower = movePoint(landing, 'lamp-cord-path', points.length - 1, [40.2, 1.9, -9.3]);
    const [longer] = unwrap(await bakeProject(lower, deriver(), { run: 'Lamp cord' })).reports;
    expect(longer.pathLength).toBeGreaterThan(cord.pathLength + 0.4);
    expect(longer.placements[0].stretch).toBeCloseTo(1, 4);
    expect(longer.triangles).toBeGreaterThan(cord.triangles);
  });

  it('finds geometry that is no number before a file is written, and names the run', async () => {
    const mesh = makeSegmentMesh({ kind: 'plank', length: 2, width: 0.4, thickness: 0.1 });
    const normals = mesh.normals.slice();
    normals[10] = NaN;
    const [segment] = causeway().segments;
    const broken = { ...segment, source: { from: 'asset' as const, asset: 'a'.repeat(64), fileName: 'a.glb' }, prepare: PREPARE_DEFAULTS, finishes: [] }; // prettier-ignore
    const project = { ...causeway(), segments: [broken, ...causeway().segments.slice(1)] };
    const loader = new Deriver(async () => ({ ok: true, value: { ...mesh, normals }, warnings: [] }));
    const baked = await bakeFiles(project, loader, 'glb', 'a');
    expect(baked).toMatchObject({ ok: false, problems: [{ code: 'bake.not-a-number', facts: { run: 'Causeway' } }] });
    expect(problemWords((baked as unknown as { problems: never[] }).problems[0])).toMatch(
      /^Causeway: .*no file was written/,
    );
  });

  it('makes the same bytes twice', async () => {
    const [a, b] = await Promise.all(
      [1, 2].map(async () => unwrap(await bakeFiles(causeway(), deriver(), 'glb', 'a')).files[0].bytes),
    );
    expect(Buffer.compare(a, b)).toBe(0);
  });

  it.each(['glb', 'obj', 'stl'])('tells how far it is, from bending to the end of writing (%s)', async (extension) => {
    const shares: number[] = [];
    const onProgress = (share: number) => shares.push(share);
    const project = setStep(causeway(), 'kerb-drain-run', 'bending', { slicing: { by: 'rows', rows: 2000 } });
    await bakeFiles(project, deriver(), extension, 'a', { run: 'Kerb drain', onProgress });
    expect(shares.length).toBeGreaterThan(2); // one piece, and yet not one step
    expect([...shares].sort((a, b) => a - b)).toEqual(shares);
    expect(Math.max(...shares)).toBeLessThanOrEqual(1);
    expect(shares.some((share) => share > BENDING_SHARE)).toBe(true);
  });

  it('tells how far a segment is ready, can be stopped there, and starts anew', async () => {
    const log = saltgrassLanding().segments.find(({ id }) => id === 'driftwood')!;
    const own = deriver();
    const stop = (share: number) => {
      if (share > 0.4) throw new Error('stopped');
    };
    await expect(own.segments.ready(log, stop)).rejects.toThrow('stopped');
    const shares: number[] = [];
    unwrap(await own.segments.ready(log, (share) => shares.push(share)));
    expect(shares.length).toBeGreaterThan(4);
    expect([...shares].sort((a, b) => a - b)).toEqual(shares);
    expect(shares.at(-1)).toBe(1);
  });

  it('reports turns as twist, evenly', async () => {
    const project = setStep(causeway(), 'causeway', 'shape', {
      turns: 2,
      frames: { rule: 'leastTwist', up: [0, 1, 0] },
    });
    const { reports } = unwrap(await bakeProject(project, deriver(), { run: 'Causeway' }));
    const { total, leastPerMetre, greatestPerMetre } = reports[0].twist;
    expect(total).toBeCloseTo(4 * Math.PI, 3);
    expect(greatestPerMetre - leastPerMetre).toBeLessThan(1e-3);
  });

  it('leaves hidden runs out, and says so when nothing is left or a run is unknown', async () => {
    const hidden = changeRun(causeway(), 'causeway', { visible: false });
    expect(unwrap(await bakeProject(hidden, deriver())).scene).toHaveLength(1);
    const code = async (project: Project, run?: string, time?: number) => {
      const result = await bakeProject(project, deriver(), { run, time: time ?? null });
      return result.ok ? 'ok' : result.problems[0].code;
    };
    expect(await code(emptyProject('Empty'))).toBe('bake.empty');
    expect(await code(causeway(), 'Motorway')).toBe('run.unknown');
    expect(await code(causeway(), undefined, 0)).toBe('bake.empty');
  });

  it('uses brought meshes', async () => {
    const mesh = makeSegmentMesh({ kind: 'tube', length: 2, radius: 0.2, sides: 12 });
    const files = await writerFor('obj')!.write!([{ name: 'Hose', mesh }], 'hose');
    const { brought, bytes } = unwrap(await bringMesh(files));
    expect(brought).toMatchObject({ fileName: 'hose.obj', triangles: mesh.indices.length / 3 });
    const project = causeway();
    const source = { from: 'asset' as const, asset: brought.asset, fileName: 'hose.obj' };
    const segments = [{ ...project.segments[0], source, prepare: PREPARE_DEFAULTS }, project.segments[1]];
    const assets = new Map([[brought.asset, bytes]]);
    const { reports } = unwrap(
      await bakeProject({ ...project, segments }, new Deriver(loadFrom(assets)), { run: 'causeway' }),
    );
    expect(reports[0].placements).toHaveLength(64);
    const without = await bakeProject({ ...project, segments }, deriver());
    expect(without).toMatchObject({ ok: false, problems: [{ code: 'asset.missing', path: ['runs', 0] }] });
    if (!without.ok) expect(problemWords(without.problems[0])).toContain('Causeway');
  });
});

it('lists no more frames than a report can hold, all runs together', async () => {
  const asked = await bakeProject(causeway(), deriver(), { frames: 600_000 });
  expect(asked).toMatchObject({
    ok: false,
    problems: [{ code: 'report.too-many-frames', facts: { frames: 1_200_000 } }],
  });
});

it('lifts a run plumb by as much everywhere, on slopes and round corners alike, and leaves the path where it is', async () => {
  const plain = causeway();
  const lifted = setStep(plain, 'causeway', 'shape', { lift: 1.25 });
  const meshOf = async (project: Project) => unwrap(await bakeProject(project, deriver(), { run: 'Causeway' })).scene[0].mesh; // prettier-ignore
  const [a, b] = [await meshOf(plain), await meshOf(lifted)];
  expect(b.positions).toHaveLength(a.positions.length);
  b.positions.forEach((v, i) => {
    const off = Math.abs(v - a.positions[i] - (i % 3 === 1 ? 1.25 : 0));
    if (off > 2e-5) throw new Error(`vertex ${Math.floor(i / 3)} is ${off} m off`);
  });
  expect(lifted.paths).toEqual(plain.paths);
});
