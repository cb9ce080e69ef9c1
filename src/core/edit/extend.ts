import { add, distance, normalize, scale, sub, type Vec3 } from '../math/vec3';
import { parabolaControl } from '../curve/kinds/smooth';
import { withoutKept, type PathPoint } from '../curve/path-spec';
import { curveKind, type CurveSpec } from '../curve/registry';

/**
 * The path with a point more at `position`, after its end or before its start. Where the end has a handle the new leg leaves it the way the
 * path arrives, and bends on evenly.
 */
export function extendPath(spec: CurveSpec, end: 'start' | 'end', position: Vec3): CurveSpec {
  const i = end === 'start' ? 0 : spec.points.length - 1;
  const { uses } = curveKind(spec);
  const [inner, outer] = end === 'start' ? (['handleOut', 'handleIn'] as const) : (['handleIn', 'handleOut'] as const);
  const old = spec.points[i] && withoutKept(spec.points[i]);
  const handle = old?.[inner];
  const goesOn = old && handle && (uses.handles || old.held) && (!uses.manners || old.as === 'handles');
  const ends = goesOn ? legOn(old, handle, position, inner, outer, old.held === true) : undefined;
  const next = { position, ...(old?.radius !== undefined && { radius: old.radius }), ...ends?.point };
  const before = spec.points.map((point, k) => (k === i ? { ...old, ...ends?.old } : point));
  return { ...spec, points: end === 'start' ? [next, ...before] : [...before, next] };
}

/** Handles of a leg that leaves a point against its other handle and arrives as a parabola does. */
function legOn(
  old: PathPoint,
  handle: Vec3,
  to: Vec3,
  inner: 'handleIn' | 'handleOut',
  outer: 'handleIn' | 'handleOut',
  isHeld: boolean,
): { old: Partial<PathPoint>; point: Partial<PathPoint> } {
  const from = old.position;
  const out = scale(normalize(handle), -distance(from, to) / 3);
  const into = sub(parabolaControl(to, from, add(from, out)), to);
  const manner = old.as ? { as: old.as } : {};
  return { old: { [outer]: out }, point: isHeld ? {} : { ...manner, [inner]: into } };
}
