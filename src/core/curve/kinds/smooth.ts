import { fail, ok } from '../../math/result';
import { add, distance, lerp, scale, sub, type Vec3 } from '../../math/vec3';
import { defineCurveKind } from '../curve-kind';
import { toDistinctPoints } from '../distinct-points';
import { cubicControl } from '../legs';
import { letGo, type PathPoint, type PathShape } from '../path-spec';
import { cubicPiece, legwise } from '../piecewise';
import { handles } from './handles';

/**
 * Centripetal Catmull-Rom through the points (knot spacing = square root of the chord; Yuksel, Schaefer, Keyser 2011),
 * each leg as a cubic. The open ends run as parabolas, so that no curvature is made up there. A held point keeps the handles it has.
 */
export const smooth = defineCurveKind({
  kind: 'smooth',
  label: 'Smooth',
  hint: 'One flowing curve through every point',
  group: 'points',
  uses: { radius: false, handles: false },
  holds: { held: true },
  reach: 2,
  mannerOf: ({ held }) => (held ? 'handles' : 'smooth'),
  toHandles: (shape) => smoothToHandles(shape).points,
  passing: ({ point: { position } }) => ({ position }),
  compile(shape) {
    const { points, from } = toDistinctPoints(shape);
    const closed = shape.closed && points.length > 2;
    if (points.length < 2) return fail('curve.too-few-points', { needed: 2, given: points.length });
    const p = points.map((point) => point.position);
    const legs = closed ? p.length : p.length - 1;
    const tangents = knotTangents(p, closed);
    const pieces = Array.from({ length: legs }, (_, i) => {
      const [a, b] = [p[i], p[(i + 1) % p.length]];
      const d = Math.sqrt(distance(a, b)) / 3;
      const ta = tangents[i];
      const tb = tangents[(i + 1) % p.length];
      let c1 = heldControl(points[i], 'handleOut') ?? (ta && add(a, scale(ta, d)));
      let c2 = heldControl(points[(i + 1) % p.length], 'handleIn') ?? (tb && sub(b, scale(tb, d)));
      c1 ??= c2 ? parabolaControl(a, b, c2) : lerp(a, b, 1 / 3);
      c2 ??= parabolaControl(b, a, c1);
      return cubicPiece(a, c1, c2, b);
    });
    return ok(legwise(pieces, closed, from));
  },
  /** Exact: the leg is split as a cubic, and the points around the new one hold their tangents. */
  insert(shape, leg, t) {
    const inserted = handles.insert(smoothToHandles(shape), leg, t);
    const around = [inserted.index - 1, inserted.index, (inserted.index + 1) % inserted.points.length];
    const points = inserted.points.map((point, i) => {
      if (around.includes(i)) return { ...point, held: true as const };
      return shape.points[i < inserted.index ? i : i - 1];
    });
    return { ...inserted, points };
  },
});

const heldControl = ({ position, held, ...of }: PathPoint, handle: 'handleIn' | 'handleOut'): Vec3 | undefined =>
  held && of[handle] && add(position, of[handle]);

/** Velocity per knot at every point; undefined at open ends. */
export function knotTangents(p: readonly Vec3[], closed: boolean): (Vec3 | undefined)[] {
  return p.map((point, i) => {
    if (!closed && (i === 0 || i === p.length - 1)) return undefined;
    const before = p[(i + p.length - 1) % p.length];
    const after = p[(i + 1) % p.length];
    const d0 = Math.sqrt(distance(before, point));
    const d1 = Math.sqrt(distance(point, after));
    const back = scale(sub(point, before), 1 / d0);
    const ahead = scale(sub(after, point), 1 / d1);
    const across = scale(sub(after, before), 1 / (d0 + d1));
    return sub(add(back, ahead), across);
  });
}

/** The control point near `a` that makes the cubic a-?-c2-b a parabola. */
export function parabolaControl(a: Vec3, b: Vec3, c2: Vec3): Vec3 {
  const q = add(b, scale(sub(c2, b), 1.5));
  return lerp(a, q, 2 / 3);
}

/** The shape as a path of handles: the same curve, ready to be shaped by hand. */
export function smoothToHandles(shape: PathShape): PathShape {
  const { points, ...rest } = cubicControl(shape, smooth.compile(shape));
  return { ...rest, points: points.map(letGo) };
}
