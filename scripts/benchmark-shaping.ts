import { bendRun } from '../src/core/bending/build-run';
import type { CurveSpec } from '../src/core/curve/registry';
import type { Vec3 } from '../src/core/math/vec3';
import { loadFrom } from '../src/engine/bake';
import { CrossingFinder } from '../src/engine/crossings';
import { Deriver, planCourse } from '../src/engine/derive';
import { sourceOf } from '../src/engine/run-source';
import { putLaneKey } from '../src/project/commands/lanes';
import { JOB_DEFAULTS, MADE_PREPARE, newCourse } from '../src/project/defaults';
import { emptyProject, type Project } from '../src/project/schema';

const smooth = (...places: readonly Vec3[]): CurveSpec => ({
  kind: 'smooth',
  closed: false,
  points: places.map((position) => ({ position })),
});

/** Tubes along paths: pieces of a length, in so many sides. */
const tubes = (curves: readonly CurveSpec[], length: number, sides: number): Project => ({
  ...emptyProject('tubes'),
  segments: [
    {
      id: 'tube',
      name: 'Tube',
      source: { from: 'maker', spec: { kind: 'tube', length, radius: 0.3, sides } },
      prepare: MADE_PREPARE,
      finishes: [],
    },
  ],
  paths: curves.map((curve, i) => ({ id: `p${i}`, name: `Path ${i}`, curve })),
  runs: curves.map((_, i) => ({
    ...{ id: `r${i}`, name: `Tube ${i}`, visible: true, path: `p${i}`, ...JOB_DEFAULTS },
    courses: [newCourse('tube')],
  })),
});

async function derived(deriver: Deriver, project: Project, run: number) {
  const source = sourceOf(project, project.runs[run]);
  const made = source.ok ? await deriver.derive(source.value) : source;
  if (!made.ok) throw new Error(made.problems[0].code);
  return made.value;
}

const median = (values: readonly number[]): number => values.toSorted((a, b) => a - b)[values.length >> 1];

/** A key of a lane dragged, and two runs held against each other. */
export async function benchmarkShaping(say: (name: string, text: string) => void): Promise<void> {
  const bend = smooth([-250, 0, 0], [0, 0, 40], [250, 0, 0]);
  const deriver = new Deriver(loadFrom(new Map()));
  let project = tubes([bend], 0.51, 8);
  const pieces = (await derived(deriver, project, 0)).courses[0].laid.pieces.length;
  const [shapes, bends]: [number[], number[]] = [[], []];
  for (let i = 0; i < 40; i++) {
    project = putLaneKey(project, 'r0', 'roll', { station: 0.5, value: 0.02 * i });
    const start = performance.now();
    const own = await derived(deriver, project, 0);
    const laid = performance.now();
    bendRun(planCourse(own, own.courses[0], null));
    shapes.push(laid - start);
    bends.push(performance.now() - laid);
  }
  say(`a key of roll dragged on ${pieces} pieces`, `laid anew ${median(shapes).toFixed(1)} ms, bent ${median(bends).toFixed(1)} ms`); // prettier-ignore
  const two = tubes([smooth([-50, 0, 0], [0, 0, 3], [50, 0, 0]), smooth([0, 0.1, -50], [3, 0.1, 0], [0, 0.1, 50])], 0.1, 96); // prettier-ignore
  const runs = await Promise.all([0, 1].map(async (run) => ({ id: `r${run}`, derived: await derived(deriver, two, run) }))); // prettier-ignore
  const triangles = runs.map((run) => run.derived.courses[0].laid.pieces.reduce((sum, { form }) => sum + form.mesh.indices.length / 3, 0)); // prettier-ignore
  const times = [0, 1, 2].map(() => {
    const start = performance.now();
    const found = new CrossingFinder().find(runs);
    if (found.size !== 1) throw new Error('no crossing');
    return performance.now() - start;
  });
  say(`crossings of two runs of ${triangles.join(' and ')} triangles`, `${Math.max(...times).toFixed(0)} ms at first, ${Math.min(...times).toFixed(0)} ms when warm`); // prettier-ignore
}
