import { makeSegmentMesh, maker, type MakerSpec } from '../segment/registry';
import { prepared } from '../testing/runs';
import { sectionAt } from './rests-on';

const made = (kind: MakerSpec['kind'], change: object = {}) =>
  prepared(makeSegmentMesh({ ...(maker(kind).defaults as object), ...change } as MakerSpec));

describe('sectionAt', () => {
  it('is the upper and the lower side of a round section, within its own chords', () => {
    const tube = made('tube', { length: 1, radius: 0.5, sides: 96 });
    // y = sqrt(r^2 - z^2); a chord lies r (1 - cos(pi / n)) below at the most (elementary).
    const sagitta = 0.5 * (1 - Math.cos(Math.PI / 96));
    for (const z of [0, 0.11, -0.27, 0.42, -0.48]) {
      const round = Math.sqrt(0.25 - z * z);
      const slant = 0.5 / round;
      const [upper, lower] = [sectionAt(tube, z, 'upper')!, sectionAt(tube, z, 'lower')!];
      expect(upper).toBeLessThanOrEqual(round + 1e-6);
      expect(upper).toBeGreaterThan(round - sagitta * slant - 1e-6);
      expect(lower).toBeCloseTo(-upper, 5);
    }
  });

  it('is nothing beside the section', () => {
    const tube = made('tube', { length: 1, radius: 0.5 });
    expect(sectionAt(tube, 0.51, 'upper')).toBeUndefined();
    expect(sectionAt(tube, -3, 'lower')).toBeUndefined();
  });

  // As the maker draws it: crown at 0, 2.5 % fall, kerbs 0.12 m above the edge, the bank's foot at -0.9 m.
  it('finds lanes, kerbs and bank of a road', () => {
    const road = made('kerbedLane', { laneWidth: 3.2, bankHeight: 0.9 });
    expect(sectionAt(road, 0, 'upper')).toBeCloseTo(0, 2);
    expect(sectionAt(road, 2, 'upper')).toBeCloseTo(-2 * 0.025, 5);
    expect(sectionAt(road, -3.35, 'upper')).toBeCloseTo(0.12 - 3.2 * 0.025, 5);
    expect(sectionAt(road, 1, 'lower')).toBeCloseTo(-0.9, 5);
  });

  it('takes the higher of two things that stand one above the other', () => {
    const sign = made('sign', { height: 2, board: 0.5, width: 0.6, thickness: 0.02 });
    expect(sectionAt(sign, 0, 'upper')!).toBeGreaterThan(1.5);
    expect(sectionAt(sign, 0, 'lower')!).toBeLessThan(1.6);
  });
});
