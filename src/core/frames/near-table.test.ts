import { pathOf } from '../testing/curves';
import { compiled, tableOf } from '../testing/runs';
import { nearTable } from './near-table';

const LONG = tableOf(compiled(pathOf('straight', [[0, 0, 0], [38_000, 0, 0], [38_000, 0, 1200]])), 'upright'); // prettier-ignore

describe('nearTable', () => {
  it('counts places from the middle of what is laid, so that 32-bit numbers are fine there, wherever on the path it lies', () => {
    for (const [from, to] of [
      [20_000, 20_080],
      [37_990, 38_070],
      [38_900.3, 39_200],
    ]) {
      // prettier-ignore
      const { origin } = nearTable(LONG, from, to);
      for (const station of [from, to]) {
        const place = station <= 38_000 ? [station, 0, 0] : [38_000, 0, station - 38_000];
        place.forEach((v, c) => expect(Math.abs(v - origin[c])).toBeLessThan((to - from) / 2 + 1));
      }
    }
  });

  it('leaves what is laid near the world’s origin there, and a whole path as it is', () => {
    expect(nearTable(LONG, 3, 480).origin).toEqual([0, 0, 0]);
    expect(nearTable(LONG, 0, LONG.length)).toBe(LONG);
  });

  it('takes in what a bend between the two stations reaches', () => {
    const bend = tableOf(compiled(pathOf('straight', [[900, 0, 0], [900, 0, 3000], [904, 0, 0]])), 'upright'); // prettier-ignore
    expect(nearTable(bend, 1, bend.length - 1).origin[2]).toBeCloseTo(1500, 0);
  });
});
