import { helix, pathOf } from '../testing/curves';
import { compiled, tableOf } from '../testing/runs';
import { ALONG_THE_PATH } from './measure';
import { buildPlanMeasure } from './plan-measure';

describe('buildPlanMeasure', () => {
  it('measures a straight slope by its foot: 3, 4, 5', () => {
    const measure = buildPlanMeasure(tableOf(compiled(pathOf('straight', [[0, 0, 0], [8, 6, 0]])), 'upright')); // prettier-ignore
    expect(measure.placeOf(10)).toBeCloseTo(8, 12);
    expect(measure.placeOf(2.5)).toBeCloseTo(2, 12);
    expect(measure.stationOf(6)).toBeCloseTo(7.5, 12);
    // Beyond the ends it goes straight on.
    expect(measure.placeOf(-5)).toBeCloseTo(-4, 12);
    expect(measure.stationOf(12)).toBeCloseTo(15, 12);
  });

  it('measures a spiral by the circles below it: 2 pi r a turn', () => {
    // About the y axis: 1.25 turns of 1.4 m that climb 4 m.
    const spiral = compiled({
      kind: 'helix',
      closed: false,
      points: [{ position: [0, 0, 0] }, { position: [0, 4, 0] }],
      numbers: { startRadius: 1.4, endRadius: 1.4, turns: 1.25 },
    });
    const table = tableOf(spiral, 'upright', { tolerance: 1e-7 });
    const measure = buildPlanMeasure(table);
    expect(measure.placeOf(table.length)).toBeCloseTo(2.5 * Math.PI * 1.4, 8);
    expect(measure.placeOf(table.length / 3)).toBeCloseTo((2.5 * Math.PI * 1.4) / 3, 8);
  });

  it('measures a tilted ring by the ellipse below it, round after round', () => {
    // Seen from above a circle of 3 m that is tilted by 60 degrees about x has half axes of 3 m and 1.5 m. Its perimeter by the trapezoid
    // rule, which converges beyond every power on periodic functions (Trefethen and Weideman, SIAM Review 56, 2014).
    const n = 4000;
    const perimeter = Array.from({ length: n }, (_, i) => Math.hypot(3 * Math.sin((2 * Math.PI * i) / n), 1.5 * Math.cos((2 * Math.PI * i) / n))).reduce((a, b) => a + b, 0) * ((2 * Math.PI) / n); // prettier-ignore
    const [c, s] = [Math.cos(Math.PI / 3), Math.sin(Math.PI / 3)];
    const ring = { ...helix(3, 0, 1), closed: true, pointParams: Float64Array.of(0) };
    const tilt =
      (fill: typeof ring.pointAt): typeof ring.pointAt =>
      (out, at, u) => {
        fill(out, at, u);
        const [x, y] = [out[at], out[at + 1]];
        out.set([x, y * s, y * c], at);
      };
    const tilted = {
      ...ring,
      pointAt: tilt(ring.pointAt),
      velocityAt: tilt(ring.velocityAt),
      accelerationAt: tilt(ring.accelerationAt),
    };
    const table = tableOf(tilted, 'upright', { tolerance: 1e-8 });
    const measure = buildPlanMeasure(table);
    expect(measure.placeOf(table.length)).toBeCloseTo(perimeter, 7);
    expect(measure.placeOf(2.5 * table.length)).toBeCloseTo(2.5 * perimeter, 7);
    expect(measure.stationOf(-perimeter)).toBeCloseTo(-table.length, 7);
  });

  it('gives a station back from its place, and is the path’s own measure where that is level', () => {
    const hilly = compiled(pathOf('smooth', [[0, 0, 0], [4, 2, 1], [7, -1, 3], [12, 0, 0]])); // prettier-ignore
    const table = tableOf(hilly, 'upright');
    const measure = buildPlanMeasure(table);
    for (let i = 0; i < 200; i++) {
      const station = ((i * 0.618034) % 1) * table.length; // spread evenly
      expect(measure.stationOf(measure.placeOf(station))).toBeCloseTo(station, 9);
    }
    const level = compiled(pathOf('smooth', [[0, 1, 0], [4, 1, 1], [7, 1, 3]])); // prettier-ignore
    expect(buildPlanMeasure(tableOf(level, 'upright'))).toBe(ALONG_THE_PATH);
  });

  it('goes by a stretch that is straight up as by no length at all', () => {
    const mast = compiled(pathOf('straight', [[0, 0, 0], [2, 0, 0], [2, 5, 0], [5, 5, 0]])); // prettier-ignore
    const measure = buildPlanMeasure(tableOf(mast, 'leastTwist'));
    expect(measure.placeOf(10)).toBeCloseTo(5, 9);
    expect(measure.placeOf(4.5)).toBeCloseTo(2, 9);
    expect(measure.stationOf(3)).toBeCloseTo(8, 9);
  });
});
