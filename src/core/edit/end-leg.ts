import { fillSample } from '../frames/sample-curve';
import { FORWARD, FRAME_STRIDE } from '../frames/frame-table';
import { add, distance, dot, normalize, scale, sub, type Vec3 } from '../math/vec3';

import { letGo, withoutKept, type PathPoint } from '../curve/path-spec';
import { compileCurve, curveKind, type CurveSpec } from '../curve/registry';
import { changeKind } from './change-kind';
import { extendPath } from './extend';
import { reversePath } from './reverse';

export type PathEnd = 'start' | 'end';
export type EndManner = 'ahead' | 'level' | 'plumb';

/** Where a path begins or ends, and the way out of it there: away from the path. */
export interface EndPlace {
  readonly position: Vec3;
  readonly direction: Vec3;
}

/** An open path's end; undefined where it is closed or no curve. */
export function endOf(spec: CurveSpec, end: PathEnd): EndPlace | undefined {
  const compiled = compileCurve(spec);
  if (!compiled.ok || compiled.value.closed) return undefined;
  const sample = new Float64Array(FRAME_STRIDE);
  fillSample(sample, 0, compiled.value, end === 'start' ? 0 : 1);
  const read = (from: number): Vec3 => [sample[from], sample[from + 1], sample[from + 2]];
  return { position: read(0), direction: scale(read(FORWARD), end === 'start' ? -1 : 1) };
}

/**
 * Makes the leg at an end straight over `length` metres: as it runs there, level, or plumb. The end stays, points that lie within that
 * length go, and the path turns smoothly into the leg. Undefined where the path has no such end, or is shorter than that.
 */
export function straightEnd(spec: CurveSpec, end: PathEnd, manner: EndManner, length: number): CurveSpec | undefined {
  const place = endOf(spec, end);
  if (!place) return undefined;
  const [x, y, z] = place.direction;
  const direction: Vec3 =
    manner === 'ahead' ? [x, y, z] : manner === 'level' ? normalize([x, 0, z]) : [0, y > 1e-6 ? 1 : -1, 0];
  return withEndLeg(shapeable(spec), end, { position: place.position, direction }, length);
}

/** The path longer by a straight leg at an end, as it runs there; the rest stays as it is. Undefined where it has no such end. */
export function extendAhead(spec: CurveSpec, end: PathEnd, length: number): CurveSpec | undefined {
  const place = endOf(spec, end);
  if (!place) return undefined;
  const shaped = shapeable(spec);
  if (shaped !== spec) return extendAhead(shaped, end, length);
  if (end === 'start') {
    const turned = extendAhead(reversePath(spec), 'end', length);
    return turned && reversePath(turned);
  }
  const { uses } = curveKind(spec);
  const far = add(place.position, scale(place.direction, length));
  const longer = extendPath(spec, 'end', far);
  if (uses.weight || (uses.radius && !uses.manners)) return longer;
  // What was the end keeps its tangent.
  const i = spec.points.length - 1;
  const { toHandles, holds } = curveKind(spec);
  const { handleIn } = toHandles?.(spec)[i] ?? spec.points[i];
  const out = scale(place.direction, length / 3);
  const last: PathPoint = { ...withoutKept(spec.points[i]), ...holds, ...(handleIn && { handleIn }), handleOut: out };
  return { ...spec, points: [...spec.points.slice(0, i), last, { position: far, ...holds, handleIn: scale(out, -1) }] };
}

/** A path of few numbers as points with handles, which its ends can be shaped by; others as they are. */
const shapeable = (spec: CurveSpec): CurveSpec =>
  curveKind(spec).group === 'numbers' ? changeKind(spec, 'handles') : spec;

/** Brings an end to a place and lets it go in there against `direction`, the way out of it: a socket, or another path's end. */
export function plugIn(spec: CurveSpec, end: PathEnd, mouth: EndPlace): CurveSpec | undefined {
  const shaped = shapeable(spec);
  if (!endOf(spec, end) || shaped.points.length < 2) return undefined;
  return withEndLeg(
    unplugged(shaped, end),
    end,
    { position: mouth.position, direction: scale(mouth.direction, -1) },
    0,
  );
}

/** Lets go of what was said of an end: its tangents are found anew, and its points move by themselves. */
export function letEndGo(spec: CurveSpec, end: PathEnd): CurveSpec {
  const last = spec.points.length - 1;
  const [own, step] = end === 'start' ? [0, 1] : [last, -1];
  const points = [...spec.points];
  for (let i = own; points[i] && (i === own || points[i].kept); i += step) {
    points[i] = letGo(withoutKept(points[i]));
  }
  return { ...spec, points };
}

/** Whether an end's leg is kept straight. */
export const isEndKept = ({ points }: CurveSpec, end: PathEnd): boolean =>
  points[end === 'start' ? 0 : points.length - 1]?.kept === true;

/** Without the corner or the controls that an earlier plug made. */
function unplugged(spec: CurveSpec, end: PathEnd): CurveSpec {
  const { uses } = curveKind(spec);
  if (!uses.weight && (!uses.radius || uses.manners)) return spec;
  const last = spec.points.length - 1;
  const [from, step] = end === 'start' ? [1, 1] : [last - 1, -1];
  const gone = new Set<number>();
  for (let i = from; i > 0 && i < last && spec.points[i].kept; i += step) gone.add(i);
  return gone.size > 0 ? { ...spec, points: spec.points.filter((_, i) => !gone.has(i)) } : spec;
}

function withEndLeg(spec: CurveSpec, end: PathEnd, place: EndPlace, length: number): CurveSpec | undefined {
  if (end === 'end') {
    const turned = withEndLeg(reversePath(spec), 'start', place, length);
    return turned && reversePath(turned);
  }
  const inwards = scale(place.direction, -1);
  const knee = add(place.position, scale(inwards, length));
  // Points within the straight leg make way for it; one must be left for the path to go on to.
  let next = 1;
  const isWithin = (i: number) =>
    distance(spec.points[i].position, place.position) < length * 1.2 ||
    dot(normalize(sub(spec.points[i].position, knee)), inwards) < -0.2;
  if (length > 0) while (next < spec.points.length - 1 && isWithin(next)) next++;
  const rest = spec.points.slice(next);
  if (rest.length === 0 || (length > 0 && isWithin(next)) || distance(rest[0].position, knee) < 1e-9) return undefined;
  const { uses } = curveKind(spec);
  const away = distance(knee, rest[0].position);
  const first: PathPoint = { ...spec.points[0], position: place.position };
  const own: PathPoint = length === 0 ? first : { ...first, kept: true };
  if (uses.weight) return { ...spec, points: [own, ...pulled(place.position, inwards, length || away / 3), ...rest] };
  if (uses.radius && !uses.manners) {
    const reach = length || away / 3;
    const at = { position: add(place.position, scale(inwards, reach)), radius: Math.min(reach, away) / 2 };
    return { ...spec, points: [own, { ...at, kept: true }, ...rest] };
  }
  const hold = uses.manners ? ({ as: 'handles' } as const) : uses.handles ? {} : ({ held: true } as const);
  const out = (by: number): PathPoint['handleOut'] => scale(inwards, by);
  if (length === 0) return { ...spec, points: [{ ...first, ...hold, handleOut: out(away / 3) }, ...rest] };
  const straight = uses.manners ? ({ straight: true } as const) : {};
  return {
    ...spec,
    points: [
      { ...first, ...hold, ...straight, kept: true, handleOut: out(length / 3) },
      { position: knee, ...hold, kept: true, handleIn: out(-length / 3), handleOut: out(away / 3) },
      ...rest,
    ],
  };
}

/** Controls in a line: a cubic B-spline is straight where four of them are. */
const pulled = (from: Vec3, along: Vec3, length: number): PathPoint[] =>
  [1 / 3, 2 / 3, 1, 4 / 3].map((share) => ({ position: add(from, scale(along, length * share)), kept: true }));
