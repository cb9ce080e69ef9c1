import { dot, length, type Vec3 } from '../../core/math/vec3';
import { pathHolds, PLACE_HOLDS, SCALE_HOLDS, TURN_HOLDS } from './holds';

describe('what holds a dragged point', () => {
  it('is free first; along and across the path are unit vectors, square to each other, and across is level', () => {
    for (const forward of [
      [3, 0, 0],
      [1, 2, -4],
      [-0.2, 0.1, 0.3],
    ] as Vec3[]) {
      // prettier-ignore
      const holds = pathHolds(forward);
      expect(holds[0]).toEqual({ name: 'free' });
      const [along, across] = ['along the path', 'across it'].map(
        (name) => holds.find((own) => own.name === name)!.line!,
      );
      expect([length(along), length(across)]).toEqual([expect.closeTo(1, 12), expect.closeTo(1, 12)]);
      expect(dot(along, across)).toBeCloseTo(0, 12);
      expect(dot(along, forward)).toBeCloseTo(length(forward), 12);
      expect(across[1]).toBeCloseTo(0, 12);
    }
  });

  it('where a path stands upright has no across; where there is no path there is only the place', () => {
    expect(pathHolds([0, 2, 0]).map(({ name }) => name)).toEqual(['free', 'level', 'along the path', 'up']);
    expect(pathHolds(undefined)).toBe(PLACE_HOLDS);
    expect(pathHolds([0, 0, 0])).toBe(PLACE_HOLDS);
  });

  it('has a name of its own in each list', () => {
    for (const holds of [PLACE_HOLDS, TURN_HOLDS, SCALE_HOLDS, pathHolds([1, 0, 0])])
      expect(new Set(holds.map(({ name }) => name)).size).toBe(holds.length);
  });
});
