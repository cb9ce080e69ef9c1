import { makeSegmentMesh } from '../segment/registry';
import { pathOf } from '../testing/curves';
import { compiled, jobOf, laidRun, prepared, tableOf, unwrap } from '../testing/runs';
import { stepFigures } from './step-figures';

const tread = prepared(makeSegmentMesh({ kind: 'plank', length: 0.254, width: 0.9, thickness: 0.04 }));
const fit = { kind: 'level', at: 'end' } as const;
const figures = (curve: Parameters<typeof compiled>[0], highest: number) => {
  const table = tableOf(compiled(curve), 'upright', { tolerance: 1e-6 });
  const { shape, laid } = laidRun({
    segment: tread,
    table,
    job: jobOf({ laying: { kind: 'fromRise', highest }, fit }),
  });
  return stepFigures(unwrap(laid).layout, shape, fit, { wide: 0.9, thick: 0.04 })!;
};

describe('stepFigures', () => {
  // Reference g01: 15 risers of 186.67 mm on goings of 254 mm, 2R + G = 627.33 mm, pitch 36.312 degrees.
  it('are those of a worked flight: risers, going, slope and stride', () => {
    const flight = figures(pathOf('straight', [[0, 0, 0], [15 * 0.254, 2.8, 0]]), 0.19685); // prettier-ignore
    expect(flight.risers).toBe(15);
    expect(flight.riser).toBeCloseTo(0.1866666666667, 9);
    expect(flight.going).toBeCloseTo(0.254, 9);
    expect(flight.stride).toBeCloseTo(0.6273333333333, 9);
    expect((flight.slope * 180) / Math.PI).toBeCloseTo(36.31246898652, 6);
    expect(flight.headroom).toBeUndefined();
    expect(flight.fronts).toHaveLength(15);
    flight.fronts.forEach(([x, y, z], i) =>
      [x - i * 0.254, y - (i + 1) * flight.riser, z].forEach((off) => expect(off).toBeCloseTo(0, 9)),
    );
  });

  it('have the headroom of a spiral: the rise of a turn less what a tread is thick', () => {
    const spiral = { kind: 'helix', closed: false, points: [{ position: [0, 0, 0] }, { position: [0, 5, 0] }], numbers: { startRadius: 1, endRadius: 1, turns: 2 } } as const; // prettier-ignore
    // A turn rises by 2.5 m; the nearest tread over a front lies up to one riser lower.
    const { headroom, riser } = figures(spiral, 0.18);
    expect(headroom).toBeLessThan(2.5);
    expect(headroom).toBeGreaterThan(2.5 - 3 * riser - 0.04);
  });
});
