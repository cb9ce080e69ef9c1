import { ellipse, helix, pathOf } from '../testing/curves';
import { compiled, tableOf } from '../testing/runs';
import { curvatureOf, eachFrame } from './each-frame';
import { tightest } from '../shape/tightest';
import { firstAfter } from '../math/first-after';

describe('tightest', () => {
  // Curvature of an ellipse at the ends of its long axis: a / b² (elementary). Samples alone are up to a hundredth off.
  it.each([
    { a: 10, b: 3, start: 1.1, tolerance: 0.01 },
    { a: 10, b: 3, start: 1.1, tolerance: 1e-5 },
    { a: 50, b: 4, start: 0.7, tolerance: 0.1 },
    { a: 2, b: 1, start: 2, tolerance: 1e-3 },
  ])('is b² / a on an ellipse of $a by $b, at a tolerance of $tolerance m', ({ a, b, start, tolerance }) => {
    const table = tableOf(ellipse(a, b, start), 'leastTwist', { tolerance });
    const { radius, station } = tightest(table);
    expect(Math.abs((radius * a) / (b * b) - 1)).toBeLessThan(3e-4);
    // The two ends of the long axis lie half the way round apart.
    const half = table.length / 2;
    const other = tightest(table, station + 0.1 * half, station + 1.5 * half);
    expect((other.station - station) / half).toBeCloseTo(1, 2);
  });

  it('is that of the ends where a reach ends before the sharpest place', () => {
    const table = tableOf(ellipse(10, 3, Math.PI / 2), 'leastTwist', { tolerance: 1e-4 });
    const { station } = tightest(table, 0, table.length / 4 - 0.2);
    expect(station).toBeCloseTo(table.length / 4 - 0.2, 9);
  });

  it('is the same everywhere on a helix: (r² + c²) / r (do Carmo, Differential Geometry of Curves and Surfaces, 1-5)', () => {
    const table = tableOf(helix(2, 0.5, 2), 'leastTwist');
    expect(tightest(table).radius).toBeCloseTo(4.25 / 2, 9);
    // Between two samples a bend is blended, to less than a two-hundredth.
    for (const [from, to] of [
      [3.3, 3.31],
      [7, 7],
    ] as const)
      // prettier-ignore
      expect(Math.abs(tightest(table, from, to).radius / (4.25 / 2) - 1)).toBeLessThan(0.005);
  });

  it('is endless on a straight path', () => {
    expect(tightest(tableOf(compiled(pathOf('straight', [[0, 0, 0], [9, 0, 0]])), 'upright')).radius).toBe(Infinity); // prettier-ignore
  });
});

describe('eachFrame', () => {
  const table = tableOf(ellipse(10, 3, 1.1), 'leastTwist');
  const seen = (from: number, to: number, options = {}) => {
    const stations: number[] = [];
    const bends: number[] = [];
    const note = (frames: Float64Array, at: number, station: number) => {
      stations.push(station);
      bends.push(curvatureOf(frames, at));
    };
    eachFrame(table, from, to, note, options);
    return { stations, bends };
  };

  it.each([{}, { peaks: true }, { most: 0.07 }, { most: 0.07, peaks: true }])(
    'goes from end to end without going back, over the seam too: %j',
    (options) => {
      for (const [from, to] of [
        [0, table.length],
        [3, 5],
        [table.length - 2, table.length + 3],
      ] as const) {
        // prettier-ignore
        const { stations } = seen(from, to, options);
        expect([stations[0], stations[stations.length - 1]]).toEqual([from, to]);
        const gaps = stations.slice(1).map((s, i) => s - stations[i]);
        expect(Math.min(...gaps)).toBeGreaterThanOrEqual(0);
        if ('most' in options) expect(Math.max(...gaps)).toBeLessThan(0.07 + 1e-9);
      }
    },
  );

  it('has every sample between', () => {
    const { stations } = seen(1, 9);
    const { stations: all } = table;
    expect(stations).toEqual([1, ...all.slice(firstAfter(all, 1), firstAfter(all, 9)), 9]);
  });

  it('bends nowhere more than at its peaks, and those are two more places', () => {
    const [plain, peaks] = [seen(0, table.length), seen(0, table.length, { peaks: true })];
    expect(peaks.stations).toHaveLength(plain.stations.length + 2);
    expect(Math.max(...peaks.bends)).toBeGreaterThan(Math.max(...plain.bends));
    expect(Math.max(...peaks.bends)).toBeCloseTo(10 / 3 ** 2, 3);
  });
});
