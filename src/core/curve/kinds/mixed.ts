import { sub } from '../../math/vec3';
import { defineCurveKind } from '../curve-kind';
import { toDistinctPoints } from '../distinct-points';
import { withPointAt } from '../legs';
import type { PathPoint } from '../path-spec';
import { compileMixed, controlsAt, controlsOf, isStraightLeg, roundable } from './compile-mixed';
import { handles } from './handles';
import { insertOnStraight, reducedAt } from './straight';

/** Every point in its own manner: a corner (rounded where it has a radius), smooth, or with handles; legs curved or straight. */
export const mixed = defineCurveKind({
  kind: 'mixed',
  label: 'Mixed',
  hint: 'Corners, smooth points and handles side by side, legs straight where you say so',
  group: 'points',
  uses: { radius: true, handles: true, manners: true },
  holds: { as: 'handles' },
  mannerOf: ({ as = 'smooth' }) => as,
  /** Rounded corners become sharp. */
  toHandles(shape) {
    const distinct = toDistinctPoints(shape);
    return shape.points.map((point, i) => {
      const { as, straight, ...free } = point;
      return { ...free, ...controlsAt(shape, i, distinct) };
    });
  },
  compile: compileMixed,
  /** Exact: on a straight leg as straight legs do; on a curved one the cubic is split, and its ends keep their handles. */
  insert(shape, leg, t) {
    const { points, from } = toDistinctPoints(shape);
    const closed = shape.closed && points.length > 2;
    const place = from[leg];
    if (isStraightLeg(points, place)) {
      const inserted = insertOnStraight(shape, compileMixed(shape), roundable(points, closed), leg, t);
      const put = { ...inserted.points[inserted.index], as: 'corner' as const, straight: true as const };
      return { ...inserted, points: inserted.points.map((p, i) => (i === inserted.index ? put : p)) };
    }
    const next = (leg + 1) % shape.points.length;
    const freed = shape.points.map((point, i): PathPoint => {
      if (i !== leg && i !== next) return point;
      const [before, after] = [controlsOf(points, closed, from[i] - 1), controlsOf(points, closed, from[i])];
      return {
        ...point,
        as: 'handles',
        ...(before && { handleIn: sub(before[2], point.position) }),
        ...(after && { handleOut: sub(after[1], point.position) }),
      };
    });
    const split = handles.insert({ ...shape, points: freed }, leg, t);
    const put = { ...split.points[split.index], as: 'handles' as const };
    return withPointAt(
      split.points.filter((_, i) => i !== split.index),
      split.index,
      put,
    );
  },
  reducedRoundings: (shape) => reducedAt(shape, roundable),
});
