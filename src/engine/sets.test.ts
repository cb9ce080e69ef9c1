import type { CurveSpec } from '../core/curve/registry';
import { unwrap } from '../core/testing/runs';
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
