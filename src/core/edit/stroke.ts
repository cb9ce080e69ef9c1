import fittedCubics from 'fit-curve';
import { add, distance, length, normalize, scale, sub, type Vec3 } from '../math/vec3';
import { withoutKept, type PathPoint } from '../curve/path-spec';
import type { CurveSpec } from '../curve/registry';
import { changeKind } from './change-kind';
import { insertAt } from './insert-at';
import { reversePath } from './reverse';

/**
 * A drawn stroke as few points with handles that keep within `tolerance` metres of it (P. J. Schneider, An algorithm for automatically
 * fitting digitized curves, Graphics Gems, 1990). Fewer than two points where the stroke has no length.
 */
export function strokePoints(places: readonly Vec3[], tolerance: number): PathPoint[] {
  const apart = places.filter((place, i) => i === 0 || distance(place, places[i - 1]) > 1e-9);
  if (apart.length < 2) return apart.map((position) => ({ position }));
  const legs = fittedCubics(
    apart.map((place) => [...place]),
    tolerance * tolerance, // it compares squares
  ) as unknown as readonly (readonly [Vec3, Vec3, Vec3, Vec3])[];
  const points: PathPoint[] = [];
  for (const [a, b, c, d] of legs) {
    const start: PathPoint = points.pop() ?? { position: a };
    points.push({ ...start, handleOut: sub(b, a) }, { position: d, handleIn: sub(c, d) });
  }
  return points;
}

/** As long as one handle, as the other one points. */
const along = (handle: Vec3 | undefined, like: Vec3 | undefined): Vec3 | undefined =>
  handle && like && scale(normalize(handle), length(like));

/**
 * The path going on from an end as a stroke does that begins there; it leaves the way the path arrives. With `isClosing` the stroke leads
 * to the path's other end and closes it. Undefined where the path is no open curve, or the stroke has no length.
 */
export function drawOn(
  spec: CurveSpec,
  end: 'start' | 'end',
  stroke: readonly Vec3[],
  tolerance: number,
  isClosing = false,
): CurveSpec | undefined {
  if (end === 'start') {
    const turned = drawOn(reversePath(spec), 'end', stroke, tolerance, isClosing);
    return turned && reversePath(turned);
  }
  if (spec.closed || spec.points.length === 0) return undefined;
  const own = changeKind(spec, 'handles');
  const [first, last] = [own.points[0], own.points[own.points.length - 1]];
  const shift = sub(last.position, stroke[0]);
  const places = isClosing ? [...stroke.slice(0, -1), first.position] : stroke.map((place) => add(place, shift));
  const fitted = strokePoints([last.position, ...places.slice(1)], tolerance);
  const [begin, ...rest] = fitted;
  if (!begin || rest.length === 0) return undefined;
  const onwards = last.handleIn && scale(last.handleIn, -1);
  const joined = { ...withoutKept(last), handleOut: along(onwards, begin.handleOut) ?? begin.handleOut };
  const inner = own.points.slice(0, -1);
  if (!isClosing) return { ...own, points: [...inner, joined, ...rest] };
  const arrival = rest[rest.length - 1].handleIn;
  const backwards = first.handleOut && scale(first.handleOut, -1);
  const closed = own.points.length > 1 ? [...inner, joined] : [joined];
  const seam = { ...closed[0], handleIn: along(backwards, arrival) ?? arrival };
  return { ...own, closed: true, points: [seam, ...closed.slice(1), ...rest.slice(0, -1)] };
}

/**
 * The path with the stretch between two stations (metres) drawn anew: it leaves and arrives as the path did there. Undefined where the
 * path is no curve.
 */
export function redrawPart(
  spec: CurveSpec,
  stroke: readonly Vec3[],
  from: number,
  to: number,
  tolerance: number,
): CurveSpec | undefined {
  const [a, b] = from < to ? [from, to] : [to, from];
  const drawn = from < to ? stroke : [...stroke].reverse();
  const inHandles = changeKind(spec, 'handles');
  const second = insertAt(inHandles, b);
  const first = second && insertAt(second.spec, a);
  if (!first || !second) return undefined;
  const { points } = first.spec;
  const [i, j] = [first.point, second.point + 1];
  const [start, end] = [points[i], points[j]];
  const fitted = strokePoints([start.position, ...drawn, end.position], tolerance);
  if (fitted.length < 2) return undefined;
  const next = fitted[0].handleOut;
  const before = fitted[fitted.length - 1].handleIn;
  return {
    ...first.spec,
    points: [
      ...points.slice(0, i),
      { ...start, handleOut: along(start.handleOut, next) ?? next },
      ...fitted.slice(1, -1),
      { ...end, handleIn: along(end.handleIn, before) ?? before },
      ...points.slice(j + 1),
    ],
  };
}
