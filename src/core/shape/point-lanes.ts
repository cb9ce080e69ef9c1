import type { PointCorner } from '../curve/path-spec';
import { smooth } from './blends/smooth';
import { expLane, type Lane } from './lane';

/** What points of a path may say of the run there. */
export interface PointValues {
  readonly roll?: number | undefined;
  readonly gauge?: number | undefined;
  readonly corner?: PointCorner | undefined;
}

/** What points say, blended along arc length: roll in radians, and gauge by its logarithm. */
export interface PointLanes {
  readonly roll: Lane | undefined;
  readonly gauge: Lane | undefined;
}

/** Values of those points that have one, level beyond the first and the last of them. `period` = the length of a closed path. */
export function lanesOf(
  points: readonly PointValues[],
  pointStations: Float64Array,
  period: number | undefined,
): PointLanes {
  const along = (value: (point: PointValues) => number | undefined): Lane | undefined => {
    const given = points.flatMap((point, i) => {
      const v = value(point);
      return v === undefined ? [] : [{ at: pointStations[i], v }];
    });
    // Points in one place, and wheels whose order along the belt is another: ascending and apart.
    given.sort((a, b) => a.at - b.at);
    const apart = given.filter(({ at }, i) => i === 0 || at - given[i - 1].at > 1e-9);
    if (apart.length === 0) return undefined;
    return smooth.lane(
      apart.map(({ at }) => at),
      apart.map(({ v }) => v),
      period,
    );
  };
  const logs = along(({ gauge }) => (gauge === undefined ? undefined : Math.log(gauge)));
  return { roll: along(({ roll }) => roll), gauge: logs && expLane(logs) };
}
