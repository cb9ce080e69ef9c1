import { cross, distance, length, type Vec3 } from '../math/vec3';
import { buildArcTable, pointStationsOf } from '../curve/arc-table';
import { turnAt } from '../curve/corners';
import type { Curve } from '../curve/curve';
import { fitHandles } from '../curve/fit-handles';
import type { CurveKind } from '../curve/curve-kind';
import type { PathPoint } from '../curve/path-spec';
import { carryValues } from './carry-values';
import { compileCurve, curveKind, type CurveKindName, type CurveSpec } from '../curve/registry';

/** Rounding radius that corners get when a path first becomes straight legs, as a share of the shorter leg beside them. */
const ROUNDING_SHARE = 0.3;
/** How near the points of a converted path keep to what it was, as a share of its length. */
const FIT_SHARE = 1e-5;

/**
 * The path as another kind. What one kind can draw as the other does stays the same curve; a path of few numbers becomes points and
 * handles within a hundred-thousandth of its length. Otherwise the points stay, and {@link deviation} tells what that does.
 */
export function changeKind(spec: CurveSpec, kind: CurveKindName): CurveSpec {
  if (kind === spec.kind) return spec;
  const [before, after] = [curveKind(spec), curveKind({ kind })];
  const isPulled = before.group === 'numbers' || before.uses.weight;
  const takesPoints = after.group === 'points' && !after.uses.weight;
  // Corners with a radius are those of the other kind, too.
  const isCornered = before.mannerOf?.({ position: [0, 0, 0] }) === 'corner' && after.hasStraightLegs;
  if (isPulled && takesPoints && !isCornered) return fitted(spec, kind);
  if (after.uses.manners) return { ...spec, kind, points: spec.points.map((point) => asManner(point, before)) };
  if (after.uses.handles && before.toHandles) return { ...spec, points: before.toHandles(spec), kind };
  const changed: CurveSpec = { ...spec, kind, closed: spec.closed || after.alwaysClosed === true };
  const takesRadius = after.uses.radius && !after.uses.manners;
  if (!takesRadius || spec.points.some((point) => point.radius !== undefined)) return changed;
  // Wheels lie within the loop: what the curve did at their middles says nothing of their size.
  const compiled = after.alwaysClosed ? undefined : compileCurve(spec);
  const first = (i: number) => (compiled?.ok ? comparableRadius(spec, compiled.value, i) : startRadius(changed, i));
  return { ...changed, points: spec.points.map((point, i) => ({ ...point, radius: first(i) })) };
}

/** Points and handles along the curve; held, so that a smooth path keeps them too. The path as it is where it is no curve yet. */
function fitted(spec: CurveSpec, kind: CurveKindName): CurveSpec {
  const compiled = compileCurve(spec);
  if (!compiled.ok) return { ...spec, kind };
  const { closed } = compiled.value;
  const table = buildArcTable(compiled.value);
  const handles = fitHandles(compiled.value, table.length * FIT_SHARE);
  const drawn = compileCurve({ kind: 'handles', closed, points: handles });
  if (!drawn.ok) return { ...spec, kind };
  const points = carryValues(handles, pointStationsOf(buildArcTable(drawn.value)), spec, table);
  const { holds } = curveKind({ kind });
  return { ...spec, kind, closed, points: points.map((point) => ({ ...point, ...holds })) };
}

function asManner(point: PathPoint, { mannerOf }: CurveKind): PathPoint {
  const { held, ...free } = point;
  return { ...free, as: mannerOf?.(point) ?? 'smooth' };
}

/** Share of the shorter leg that a rounding's tangent may take, so that those of neighbours fit as well. */
const TANGENT_SHARE = 0.45;

/** The radius that the curve has at a point, as far as it fits there as a rounding, metres. */
function comparableRadius({ points, closed }: CurveSpec, curve: Curve, i: number): number {
  const n = points.length;
  if (n < 3 || (!closed && (i === 0 || i === n - 1))) return 0;
  const around = [(i + n - 1) % n, i, (i + 1) % n].map((k) => points[k].position);
  const legs = [distance(around[0], around[1]), distance(around[1], around[2])];
  const fits = (TANGENT_SHARE * Math.min(...legs)) / Math.tan(turnAt(around, 1) / 2);
  const least = Math.min(radiusAt(curve, curve.pointParams[i]), fits);
  return Number.isFinite(least) ? Number(least.toPrecision(3)) : 0;
}

/** On the tighter side of a point, metres; Infinity where it is straight. */
function radiusAt(curve: Curve, u: number): number {
  const [v, a] = [new Float64Array(3), new Float64Array(3)];
  const radii = [true, false].map((fromLeft) => {
    curve.velocityAt(v, 0, u, fromLeft && u > 0);
    curve.accelerationAt(a, 0, u, fromLeft && u > 0);
    const [velocity, acceleration] = [v, a].map(([x, y, z]): Vec3 => [x, y, z]);
    return length(velocity) ** 3 / length(cross(velocity, acceleration));
  });
  return Math.min(...radii);
}

/** A first rounding that fits between its neighbours, metres, to the centimetre. */
export function startRadius({ points, closed }: CurveSpec, i: number): number {
  const n = points.length;
  const before = points[closed ? (i + n - 1) % n : i - 1];
  const after = points[closed ? (i + 1) % n : i + 1];
  if (!before || !after) return 0;
  const legs = [before, after].map((other) => Math.hypot(...other.position.map((c, k) => c - points[i].position[k])));
  return Math.round(Math.min(...legs) * ROUNDING_SHARE * 100) / 100;
}
