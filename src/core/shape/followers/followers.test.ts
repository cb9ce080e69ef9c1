import { frameOn, GAUGE_UP, GAUGE_SIDE } from '../frame-on';
import { UP } from '../../frames/frame-table';
import { compiled, shapeOf, tableOf } from '../../testing/runs';
import { ellipse, pathOf } from '../../testing/curves';
import { FOLLOWERS } from '../follower-registry';

const RING = tableOf(ellipse(100, 100), 'upright', { tolerance: 1e-6 }, [0, 0, 1]);

describe('bank', () => {
  // tan(bank) = V^2 / (g R): a vehicle on a banked circle without side friction (any textbook of mechanics; common practice of road building).
  it('leans by V^2 / (g R) on a circle, towards its middle', () => {
    const shape = shapeOf(RING, { follows: { bank: { speed: 20, most: 1, ease: 30 } } });
    for (const station of [0, 77, 400]) {
      const frame = frameOn(shape, station);
      const lean = Math.acos(frame[UP + 2]);
      expect(Math.tan(lean)).toBeCloseTo(400 / (9.80665 * 100), 4);
      // Up leans from the rim to the middle, which is the origin.
      expect(frame[UP] * frame[0] + frame[UP + 1] * frame[1]).toBeLessThan(0);
    }
  });

  it('never leans by more than it may, leans the other way in a bend to the other side, and not at all where it is straight', () => {
    const points = [[0, 0, 0], [100, 0, 0], [100, 0, 100], [200, 0, 100]] as const; // prettier-ignore
    const spec = pathOf(
      'straight',
      points.map(([x, y, z]) => [x, y, z]),
    );
    const rounded = {
      ...spec,
      points: spec.points.map((point, i) => (i % 3 === 0 ? point : { ...point, radius: 30 })),
    };
    const table = tableOf(compiled(rounded), 'upright');
    const shape = shapeOf(table, { follows: { bank: { speed: 25, most: 0.2, ease: 10 } } });
    const lean = (station: number) => {
      const frame = frameOn(shape, station);
      return Math.atan2(frame[UP] * -frame[5] + frame[UP + 2] * frame[3], frame[UP + 1]);
    };
    const [first, second] = [70 + (30 * Math.PI) / 4, 70 + (30 * Math.PI) / 2 + 40 + (30 * Math.PI) / 4];
    expect(lean(first)).toBeCloseTo(0.2, 6);
    expect(lean(second)).toBeCloseTo(-0.2, 6);
    for (const station of [0, 30, 60, table.length - 10]) expect(lean(station)).toBeCloseTo(0, 9);
    // It comes over the easing length, half of it before the bend begins.
    expect(lean(70)).toBeGreaterThan(0.05);
    expect(lean(64.9)).toBeCloseTo(0, 2);
  });
});

describe('thin', () => {
  it('is as much thinner as the bend is tighter than it may be, and never thinner than asked for', () => {
    const of = (radius: number, least: number) =>
      frameOn(shapeOf(RING, { follows: { thin: { radius, least, ease: 10 } } }), 50);
    expect(of(200, 0.1)[GAUGE_UP]).toBeCloseTo(0.5, 4);
    expect(of(200, 0.1)[GAUGE_SIDE]).toBeCloseTo(0.5, 4);
    expect(of(200, 0.7)[GAUGE_UP]).toBeCloseTo(0.7, 9);
    expect(of(90, 0.1)[GAUGE_UP]).toBe(1);
  });

  it('keeps below what is asked for where the bend comes and goes', () => {
    const table = tableOf(ellipse(30, 10), 'upright', { tolerance: 1e-6 }, [0, 0, 1]);
    const shape = shapeOf(table, { follows: { thin: { radius: 20, least: 0.05, ease: 4 } } });
    for (let s = 0; s < table.length; s += 0.37) {
      const frame = frameOn(shape, s);
      const bend = Math.hypot(frame[12], frame[13], frame[14]);
      expect(frame[GAUGE_UP]).toBeLessThanOrEqual(Math.min(1, 1 / (bend * 20)) + 2e-3);
    }
  });
});

it('every follower has words, and options of its own schema', () => {
  for (const { label, hint, schema, defaults, fields } of Object.values(FOLLOWERS)) {
    expect(schema.safeParse(defaults).success).toBe(true);
    expect([label, hint].every((words) => words.length > 3)).toBe(true);
    expect(fields.map(({ key }) => key).toSorted()).toEqual(Object.keys(defaults as object).toSorted());
  }
});
