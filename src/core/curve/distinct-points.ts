import { COINCIDENT_RELATIVE } from '../math/tolerance';
import { distance } from '../math/vec3';
import type { PathPoint, PathShape } from './path-spec';

/** The points of a path without repeats of the one before; `from[i]` = place among them of the path's point i. */
export interface DistinctPoints {
  readonly points: readonly PathPoint[];
  readonly from: Int32Array;
}

/**
 * Leaves out points that lie on their predecessor (on a closed path the last one on the first as well). What is left arrives by
 * the handle of the first of them and goes on by that of the last.
 */
export function toDistinctPoints(shape: PathShape): DistinctPoints {
  const { points, closed } = shape;
  let size = 0;
  for (const p of points) for (const c of p.position) size = Math.max(size, Math.abs(c));
  const near = size * COINCIDENT_RELATIVE;
  const kept: PathPoint[] = [];
  const from = new Int32Array(points.length);
  points.forEach((point, i) => {
    const last = kept[kept.length - 1];
    if (!last || distance(last.position, point.position) > near) kept.push(point);
    else kept[kept.length - 1] = merged(last, point);
    from[i] = kept.length - 1;
  });
  if (closed && kept.length > 1 && distance(kept[0].position, kept[kept.length - 1].position) <= near) {
    const dropped = kept.length - 1;
    kept[0] = merged(kept.pop()!, kept[0]);
    for (let i = 0; i < from.length; i++) if (from[i] === dropped) from[i] = i === 0 ? 0 : dropped;
  }
  return { points: kept, from };
}

const merged = (arriving: PathPoint, leaving: PathPoint): PathPoint => ({
  ...leaving,
  ...arriving,
  handleIn: arriving.handleIn ?? leaving.handleIn,
  handleOut: leaving.handleOut ?? arriving.handleOut,
});
