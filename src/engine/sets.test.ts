import { buildArcTable, fillParams } from '../core/curve/arc-table';
import type { CurveSpec } from '../core/curve/registry';
import { compiled, unwrap } from '../core/testing/runs';
import { pathOf } from '../core/testing/curves';
import { JOB_DEFAULTS } from '../project/defaults';
import { emptyProject, type Project } from '../project/schema';
import { sets } from '../project/sets';
import type { RunSet } from '../project/sets/run-set';
import { bakeProject, loadFrom } from './bake';
import { Deriver } from './derive';

/** A path on a slope as each is for. */
const PATHS: { readonly [kind: string]: CurveSpec } = {
  road: pathOf('smooth', [[0, 0, 0], [40, 1.2, 5], [70, 2.4, 30]]), // prettier-ignore
  stair: pathOf('smooth', [[0, 0, 0], [2.2, 1.5, 0.5], [4, 2.8, 2]]), // prettier-ignore
};
const SLOPE = pathOf('smooth', [[0, 0, 0], [4, 1.2, 0.5], [7, 2.4, 3]]); // prettier-ignore

const projectOf = (set: RunSet, curve: CurveSpec): Project => {
  const parts = set.parts((name) => name);
  const shape = { ...JOB_DEFAULTS.shape, ...(parts.frames && { frames: parts.frames }) };
  return {
    ...emptyProject('Sets'),
    segments: parts.segments,
    paths: [{ id: 'p', name: 'P', curve: parts.curve ?? curve }],
    runs: [{ id: 'r', name: 'R', visible: true, path: 'p', ...JOB_DEFAULTS, shape, courses: parts.courses }],
  };
};

describe.each(Object.entries(sets))('the set %s', (_, set: RunSet) => {
  it('bakes on a slope, every course of it there, with no findings', async () => {
    const project = projectOf(set, PATHS[set.kind] ?? SLOPE);
    const { scene, reports } = unwrap(await bakeProject(project, new Deriver(loadFrom(new Map()))));
    expect(scene).toHaveLength(project.runs[0].courses.length);
    for (const { mesh } of scene) {
      expect(mesh.positions.every(Number.isFinite) && mesh.normals.every(Number.isFinite)).toBe(true);
      expect(mesh.indices.length).toBeGreaterThan(0);
    }
    for (const { findings } of reports) expect(findings).toEqual([]);
  });
});

describe('a crawler belt', () => {
  const wheel = (x: number, y: number, radius: number, outside = false) => ({
    position: [x, y, 0.3] as const,
    radius,
    ...(outside && { outside }),
  });
  const BELTS = {
    'two wheels': [wheel(-1.4, 0.42, 0.4), wheel(1.4, 0.42, 0.4)],
    'two wheels the other way round': [wheel(1.4, 0.42, 0.4), wheel(-1.4, 0.42, 0.4)],
    'three of different sizes': [wheel(-1.7, 0.5, 0.45), wheel(0.2, 1.4, 0.3), wheel(1.6, 0.42, 0.37)],
    'five, of which one presses from outside': [wheel(-2, 0.9, 0.5), wheel(-1, 0.4, 0.35), wheel(1, 0.4, 0.35), wheel(2, 0.9, 0.5), wheel(0, 1.5, 0.3, true)], // prettier-ignore
  };
  it.each(Object.entries(BELTS))('has its grousers outside and its links inside: %s', async (_, points) => {
    const parts = sets.crawlerBelt.parts((name) => name);
    const curve = { ...parts.curve!, points: points.map((own) => ({ ...own, position: [...own.position] as const })) };
    const project = projectOf({ ...sets.crawlerBelt, parts: () => ({ ...parts, curve }) }, curve);
    const deriver = new Deriver(loadFrom(new Map()));
    const [{ mesh }] = unwrap(await bakeProject(project, deriver)).scene;
    const arc = buildArcTable(compiled(curve));
    const line = Array.from({ length: 500 }, (__, i) => {
      const [u, place] = [new Float64Array(1), new Float64Array(3)];
      fillParams(u, arc, Float64Array.of((arc.length * i) / 500));
      arc.curve.pointAt(place, 0, u[0]);
      return place;
    });
    let [outside, inside] = [0, 0];
    for (let v = 0; v < mesh.positions.length; v += 21) {
      const [x, y] = mesh.positions.subarray(v, v + 2);
      let [nearest, isIn] = [Infinity, false];
      line.forEach(([px, py], i) => {
        nearest = Math.min(nearest, Math.hypot(x - px, y - py));
        const [qx, qy] = line[(i + 1) % line.length];
        if (py > y !== qy > y && x < px + ((y - py) * (qx - px)) / (qy - py)) isIn = !isIn; // odd crossings of a ray
      });
      if (isIn) inside = Math.max(inside, nearest);
      else outside = Math.max(outside, nearest);
    }
    expect(outside).toBeGreaterThan(0.07); // plate and grouser
    expect(inside).toBeLessThan(0.035); // half a link, and a chord's height over the bend
  });
});
