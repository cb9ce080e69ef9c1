import { lanesOf } from '../shape/point-lanes';
import { pointStationsOf, type ArcTable } from '../curve/arc-table';
import type { PathPoint, PathShape } from '../curve/path-spec';

/**
 * New points of a path with the roll and gauge that those of before give it there, blended along arc length. `stations` = where the new ones
 * lie along the path as it was, metres.
 */
export function carryValues(
  points: readonly PathPoint[],
  stations: ArrayLike<number>,
  before: PathShape,
  table: ArcTable,
): readonly PathPoint[] {
  const { curve, length } = table;
  const { roll, gauge } = lanesOf(before.points, pointStationsOf(table), curve.closed ? length : undefined);
  if (!roll && !gauge) return points;
  return points.map((point, i) => ({
    ...point,
    ...(roll && { roll: roll.at(stations[i])[0] }),
    ...(gauge && { gauge: gauge.at(stations[i])[0] }),
  }));
}
