import { volume } from '../mesh/measure';
import { makeSegmentMesh } from '../segment/registry';
import { ellipse, pathOf } from '../testing/curves';
import { bentRun, compiled, jobOf, laidRun, planRun, prepared, tableOf, unwrap } from '../testing/runs';
import { MOTIONS, secondsOf, type MotionSpec } from './registry';

const LINE = tableOf(compiled(pathOf('straight', [[0, 0, 0], [10, 0, 0]])), 'upright'); // prettier-ignore
const RING = tableOf(ellipse(2, 2), 'upright', { tolerance: 1e-7 });
const plank = prepared(makeSegmentMesh({ kind: 'plank', length: 0.5, width: 0.3, thickness: 0.1 }));
const travel = (speed: number): MotionSpec => ({ kind: 'travel', speed, seconds: 4 });

describe.each(MOTIONS.map((kind) => [kind.kind, kind] as const))('the motion %s', (_, kind) => {
  it('has defaults that are valid, and plays no time or some', () => {
    expect(kind.schema.safeParse(kind.defaults).success).toBe(true);
    expect(secondsOf(kind.defaults)).toBeGreaterThanOrEqual(0);
    for (const { key } of kind.fields) expect(kind.defaults).toHaveProperty(key);
    expect(kind.summary(kind.defaults).words).toMatch(/^[a-z]/);
  });

  it('moves nothing where no time is asked for, and gives numbers at every time', () => {
    const job = jobOf({ laying: { kind: 'fillStretch' }, motion: kind.defaults });
    const still = bentRun(plank, LINE, { ...job, motion: { kind: 'none' } });
    expect(bentRun(plank, LINE, job).layout).toEqual(still.layout);
    for (const time of [0, 1e-9, 0.7, 3.99, 4, 1e6]) {
      const { mesh } = bentRun(plank, LINE, job, { time });
      expect(mesh.positions.every(Number.isFinite) && mesh.normals.every(Number.isFinite)).toBe(true);
    }
  });
});

describe('travel', () => {
  const job = (speed: number) => jobOf({ laying: { kind: 'fillStretch' }, motion: travel(speed) });
  const startsAt = (table: typeof LINE, speed: number, time: number) =>
    unwrap(planRun({ segment: plank, table, job: job(speed), time })).pieces.map(({ place }) => place.station);

  it('goes at its speed: a piece of a closed path is as much further as speed times time', () => {
    const before = startsAt(RING, 0.3, 0);
    startsAt(RING, 0.3, 2.5).forEach((s, i) => expect(s).toBeCloseTo(before[i] + 0.75, 12));
    startsAt(RING, -0.3, 2.5).forEach((s, i) => expect(s).toBeCloseTo(before[i] - 0.75, 12));
  });

  it('once round a closed path is where it was', () => {
    const [a, b] = [0, RING.length / 0.3].map((time) => bentRun(plank, RING, job(0.3), { time }).mesh);
    a.positions.forEach((v, i) => expect(Math.abs(v - b.positions[i])).toBeLessThan(2e-6));
  });

  it('comes in at the start of an open path as it goes out at the end: the reach stays covered', () => {
    for (const time of [0, 0.11, 0.5, 0.77, 1.3, 3.9]) {
      for (const speed of [0.4, -0.7]) {
        const { pieces } = unwrap(planRun({ segment: plank, table: LINE, job: job(speed), time }));
        const spans = pieces
          .map(({ place }) => [place.station, place.station + place.factor * place.natural] as const)
          .toSorted((x, y) => x[0] - y[0]);
        expect(spans[0][0]).toBeCloseTo(0, 9);
        expect(spans.at(-1)![1]).toBeCloseTo(10, 9);
        spans.slice(1).forEach(([from], i) => expect(from).toBeCloseTo(spans[i][1], 9));
      }
    }
  });

  it('bends what comes along as finely as the bend there asks for', () => {
    const tube = prepared(makeSegmentMesh({ kind: 'tube', length: 1, radius: 0.1, sides: 24 }));
    const path = pathOf('straight', [[0, 0, 0], [6, 0, 0], [6, 0, 6]], false, 1); // prettier-ignore
    const table = tableOf(compiled(path), 'upright', { tolerance: 1e-6 });
    const moving = jobOf({ laying: { kind: 'fillStretch' }, bending: { tolerance: 0.001 }, motion: travel(1) });
    const section = 12 * 0.01 * Math.sin((2 * Math.PI) / 24);
    // Pappus: a section whose middle is on the path sweeps its area times the length; at the reach's ends there are walls.
    for (const time of [0, 1.37, 2.9]) {
      const { mesh } = bentRun(tube, table, moving, { time });
      expect(volume(mesh) / (section * table.length)).toBeCloseTo(1, 2);
    }
  });

  it('wears the same forms all the time', () => {
    const { laid } = laidRun({ segment: plank, table: RING, job: job(1) });
    const forms = new Set(unwrap(laid).pieces.map(({ form }) => form));
    for (const time of [0.3, 1.9, 77])
      for (const { form } of unwrap(planRun({ segment: plank, table: RING, job: job(1), time })).pieces)
        expect(form.mesh.indices.length).toBe([...forms][0].mesh.indices.length);
  });
});
