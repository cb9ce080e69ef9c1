import type { Vec3 } from '../math/vec3';
import type { Curve } from './curve';
import type { TouchedLegs } from './follow-arc';
import type { PathPoint } from './path-spec';
import { compileCurve, curveKind, type CurveSpec } from './registry';

/**
 * The curve of an edited path, of which only the legs that the edit touches are made anew; the others stay those of the curve before. Undefined
 * where nothing is touched, or the paths cannot be compared point by point: other kinds, other numbers of points, doubled points, a touched
 * seam of a closed path.
 */
export function followCurve(
  before: CurveSpec,
  curve: Curve,
  after: CurveSpec,
): { readonly curve: Curve; readonly touched: TouchedLegs } | undefined {
  const { reach } = curveKind(after);
  const n = after.points.length;
  const { closed } = after;
  const legs = closed ? n : n - 1;
  if (reach === undefined || before.kind !== after.kind || before.closed !== closed) return undefined;
  if (before.points.length !== n || curve.breaks.length !== legs + 1) return undefined;
  let a = 0;
  while (a < n && isSame(before.points[a], after.points[a])) a++;
  let b = n - 1;
  while (b > a && isSame(before.points[b], after.points[b])) b--;
  if (a === n) return undefined;
  const [w0, w1] = [Math.max(a - reach - 1, 0), Math.min(b + reach + 1, n - 1)];
  if (closed && (w0 === 0 || w1 === n - 1)) return undefined;
  const window = compileCurve({ ...after, closed: false, points: after.points.slice(w0, w1 + 1) });
  const count = w1 - w0;
  if (!window.ok || window.value.breaks.length !== count + 1) return undefined;
  const touched = { first: Math.max(a - reach, 0), end: Math.min(b + reach, legs) };
  return { curve: spliced(curve, window.value, touched, w0, count), touched };
}

/** Whether a curve passes two points in the same way; they may have come from elsewhere, as copies. */
const isSame = (p: PathPoint, q: PathPoint): boolean =>
  p === q ||
  (p.held === q.held &&
    isSamePlace(p.position, q.position) &&
    isSamePlace(p.handleIn, q.handleIn) &&
    isSamePlace(p.handleOut, q.handleOut));

const isSamePlace = (p: Vec3 | undefined, q: Vec3 | undefined): boolean =>
  p && q ? p[0] === q[0] && p[1] === q[1] && p[2] === q[2] : p === q;

/** A curve with some legs taken from another one, whose first leg is this one's leg `from`. */
function spliced(curve: Curve, part: Curve, { first, end }: TouchedLegs, from: number, count: number): Curve {
  const { breaks } = curve;
  const legs = breaks.length - 1;
  const scale = legs / count;
  const isPart = (u: number, fromLeft: boolean) => {
    let leg = Math.min(Math.floor(u * legs), legs - 1);
    if (leg + 1 < legs && breaks[leg + 1] <= u) leg++;
    if (fromLeft && leg > 0 && breaks[leg] >= u) leg--;
    return leg >= first && leg < end;
  };
  const own = (u: number) => Math.min(Math.max((u * legs - from) / count, 0), 1);
  const stretch = (out: Float64Array, at: number, factor: number) => {
    out[at] *= factor;
    out[at + 1] *= factor;
    out[at + 2] *= factor;
  };
  return {
    closed: curve.closed,
    breaks,
    pointParams: curve.pointParams,
    pointAt(out, at, u) {
      if (isPart(u, false)) part.pointAt(out, at, own(u));
      else curve.pointAt(out, at, u);
    },
    velocityAt(out, at, u, fromLeft = false) {
      if (!isPart(u, fromLeft)) return curve.velocityAt(out, at, u, fromLeft);
      part.velocityAt(out, at, own(u), fromLeft);
      stretch(out, at, scale);
    },
    accelerationAt(out, at, u, fromLeft = false) {
      if (!isPart(u, fromLeft)) return curve.accelerationAt(out, at, u, fromLeft);
      part.accelerationAt(out, at, own(u), fromLeft);
      stretch(out, at, scale * scale);
    },
  };
}
