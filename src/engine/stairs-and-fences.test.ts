import { heldHeight } from '../core/layout/held-height';
import { frameOn } from '../core/shape/frame-on';
import { manifoldOf } from '../core/testing/manifold';
import { unwrap } from '../core/testing/runs';
import { buildRunMesh } from '../core/bending/build-run';
import { instancesOf, PLACE_STRIDE } from '../core/bending/instances';
import type { CurveSpec } from '../core/curve/registry';
import { JOB_DEFAULTS } from '../project/defaults';
import { saltgrassLanding } from '../project/samples/saltgrass-landing';
import { emptyProject, type Project } from '../project/schema';
import { stairParts } from '../project/sets/stair';
import { loadFrom } from './bake';
import { Deriver, planCourse } from './derive';
import type { DerivedRun } from './derived';
import { sourceOf } from './run-source';

const derive = async (project: Project, run = project.runs[0]): Promise<DerivedRun> =>
  unwrap(await new Deriver(loadFrom(new Map())).derive(unwrap(sourceOf(project, run))));

/** A stair of 0.9 m along a path, no riser higher than 0.19 m. */
const stairOn = (curve: CurveSpec): Project => {
  const { segments, courses } = stairParts((name) => name, { width: 0.9, going: 0.25, highest: 0.19, rails: [-1] });
  const run = { id: 'r', name: 'Stair', visible: true, path: 'p', ...JOB_DEFAULTS, courses };
  return { ...emptyProject('Stair'), segments, paths: [{ id: 'p', name: 'P', curve }], runs: [run] };
};

describe('a quarter turn with winders', () => {
  // Two flights square to each other and a quarter of a circle of 0.7 m between them, climbing evenly: the treads in it are winders.
  const [leg, radius, rise] = [1.3, 0.7, 2.7];
  const arc = (Math.PI / 2) * radius;
  const slope = rise / (2 * leg + arc);
  const k = (4 / 3) * Math.tan(Math.PI / 8) * radius; // the cubic nearest to a quarter circle (from memory)
  const up = (slope * arc) / 3;
  const curve: CurveSpec = {
    kind: 'handles',
    closed: false,
    points: [
      { position: [0, 0, 0] },
      { position: [leg, slope * leg, 0], handleIn: [-k, -slope * k, 0], handleOut: [k, up, 0] },
      { position: [leg + radius, slope * (leg + arc), radius], handleIn: [0, -up, -k], handleOut: [0, slope * k, k] },
      { position: [leg + radius, rise, radius + leg] },
    ],
  };

  it('has equal risers, 15 of 0.18 m, and goings that differ by less than a twentieth along the walking line', async () => {
    const { courses } = await derive(stairOn(curve));
    const { layout } = courses[0].laid;
    const shape = courses[0].shape;
    const heights = layout.placements.map((place) => heldHeight(shape, { ...place, scale: 1 }, { at: 'end' }));
    expect(heights).toHaveLength(15);
    heights.slice(1).forEach((y, i) => expect(y - heights[i]).toBeCloseTo(2.7 / 15, 9));
    const goings = layout.placements.map(({ natural, stretch, gap }) => natural * stretch + gap).slice(0, -1);
    expect(Math.max(...goings) - Math.min(...goings)).toBeLessThan(0.0125);
    for (const { gap } of layout.placements.slice(0, -1)) expect(gap).toBeCloseTo(-0.025, 9); // nosings overlap
  });

  it('turns by 90 degrees over its winders, which are narrower within and broader without', async () => {
    const { courses } = await derive(stairOn(curve));
    const { laid, shape } = courses[0];
    const heading = (station: number, isBefore = false) => {
      const frame = frameOn(shape, station, isBefore);
      return Math.atan2(frame[5], frame[3]);
    };
    const turns = laid.layout.placements.map(
      ({ station, length }) => heading(station + length, true) - heading(station),
    );
    const winders = turns.filter((turn) => turn > 0.02);
    expect(winders.length).toBeGreaterThan(3);
    expect(heading(shape.table.length, true) - heading(0)).toBeCloseTo(Math.PI / 2, 9);
    // Elementary: 0.41 m farther out an arc is longer by the turn times that.
    const plan = planCourse(await derive(stairOn(curve)), courses[0], null);
    const { positions } = buildRunMesh(plan, courses[0].pieces);
    let first = 0;
    plan.pieces.forEach(({ form }, piece) => {
      const p = form.mesh.positions;
      const { min, max } = form.box;
      // Along the front and the back edge of the upper side, inner and outer end.
      const at = (x: number, z: number) => {
        let [best, off] = [0, Infinity];
        for (let v = 0; v < p.length; v += 3) {
          const away = Math.hypot(p[v] - x, p[v + 2] - z, p[v + 1] - max[1]);
          if (away < off) [best, off] = [v, away];
        }
        return [positions[first + best], positions[first + best + 2]] as const;
      };
      const long = (z: number) => {
        const [[ax, az], [bx, bz]] = [at(min[0], z), at(max[0], z)];
        return Math.hypot(bx - ax, bz - az);
      };
      const [inner, outer] = [long(max[2]), long(min[2])]; // it turns to the right
      const wide = max[2] - min[2];
      if (turns[piece] > 0.02) expect((outer - inner) / (turns[piece] * wide)).toBeCloseTo(1, 1);
      else if (turns[piece] < 1e-6) expect(outer).toBeCloseTo(inner, 5);
      first += p.length;
    });
  });

  it('is made of closed treads, each level to 32-bit rounding', async () => {
    const derived = await derive(stairOn(curve));
    const [treads] = derived.courses;
    const plan = planCourse(derived, treads, null);
    const mesh = buildRunMesh(plan, treads.pieces);
    expect((await manifoldOf(mesh)).volume()).toBeGreaterThan(0.1);
    let first = 0;
    for (const { form } of plan.pieces) {
      const p = form.mesh.positions;
      const rises = Array.from({ length: p.length / 3 }, (_, v) => mesh.positions[first + v * 3 + 1] - p[v * 3 + 1]);
      expect(Math.max(...rises) - Math.min(...rises)).toBeLessThan(1e-6);
      first += p.length;
    }
  });

  it('has closed risers: every board reaches down to the tread below, which goes on behind it', async () => {
    const derived = await derive(stairOn(curve));
    const [treads] = derived.courses;
    const plan = planCourse(derived, treads, null);
    const { positions } = buildRunMesh(plan, treads.pieces);
    let first = 0;
    const steps = plan.pieces.map(({ form }) => {
      const own = positions.subarray(first, (first += form.mesh.positions.length));
      const ys = own.filter((_, i) => i % 3 === 1);
      const along = form.mesh.positions.filter((_, i) => i % 3 === 0);
      // Where the board hangs down, as the segment has it.
      const board = along.filter((_, v) => form.mesh.positions[v * 3 + 1] < form.box.min[1] + 1e-6);
      return { top: ys.reduce((m, y) => Math.max(m, y)), bottom: ys.reduce((m, y) => Math.min(m, y)), board: [Math.min(...board), Math.max(...board)] as const }; // prettier-ignore
    });
    expect(steps).toHaveLength(15);
    steps.slice(1).forEach(({ bottom, board }, i) => {
      expect(bottom).toBeLessThan(steps[i].top);
      expect(bottom).toBeGreaterThan(steps[i].top - 0.04); // it ends in the tread's thickness
      const overlap = treads.laid.layout.placements[i].overlap;
      expect(overlap).toBeGreaterThan(0.024);
      expect(board[0]).toBeGreaterThan(0); // behind the nosing
      expect(board[0]).toBeLessThan(overlap + 1e-3); // and over what of the tread below goes on
    });
  });
});

describe('a stepped fence', () => {
  it('has rails and pickets at one height from post to post: that of the path half way', async () => {
    const landing = saltgrassLanding();
    const run = landing.runs.find(({ name }) => name === 'Shore fence, stepped')!;
    const derived = await derive(landing, run);
    const { pointStations } = derived.table;
    const heightOf = (station: number) => {
      const leg = pointStations.findIndex((s, i) => station >= s && station < (pointStations[i + 1] ?? Infinity));
      return frameOn(derived.courses[0].shape, (pointStations[leg] + pointStations[leg + 1]) / 2)[1];
    };
    const pickets = derived.courses.find(({ course }) => course.name === 'Pickets')!;
    const [{ places }] = instancesOf(planCourse(derived, pickets, null))!;
    const { placements } = pickets.laid.layout;
    expect(placements.length).toBeGreaterThan(30);
    placements.forEach(({ station, length }, i) =>
      expect(places[i * PLACE_STRIDE + 13]).toBeCloseTo(heightOf(station + length / 2) + pickets.course.height, 9),
    );
    const rail = derived.courses.find(({ course }) => course.name === 'Upper rail')!;
    const mesh = buildRunMesh(planCourse(derived, rail, null), rail.pieces);
    const middles = new Set(rail.laid.layout.placements.map(({ station, length }) => heightOf(station + length / 2)));
    expect(middles.size).toBe(pointStations.length - 1);
    const own = new Set(rail.ready.prepared.mesh.positions.filter((_, i) => i % 3 === 1));
    for (let v = 1; v < mesh.positions.length; v += 3) {
      const over = mesh.positions[v] - rail.course.height;
      const off = [...middles].flatMap((y) => [...own].map((above) => Math.abs(over - y - above)));
      expect(Math.min(...off)).toBeLessThan(1e-5);
    }
  });
});
