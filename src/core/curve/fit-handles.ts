import { cross, length, scale, sub, type Vec3 } from '../math/vec3';
import { buildArcTable, fillParams, stationOf } from './arc-table';
import type { Curve } from './curve';
import type { PathPoint } from './path-spec';
import { pointOn } from './legs';

/** More legs than this are not made, whatever the tolerance. */
const MOST_LEGS = 4000;
/** Places within a leg at which it is held against the curve. */
const CHECKS = 7;

/**
 * A curve as few cubic legs that keep within `tolerance` metres of it: handles along its tangents, a third of the leg's length long
 * (fourth order: half as long a leg is sixteen times as near); legs are halved until they fit.
 */
export function fitHandles(curve: Curve, tolerance: number): PathPoint[] {
  const table = buildArcTable(curve);
  const u = new Float64Array(1);
  const paramAt = (s: number) => {
    fillParams(u, table, Float64Array.of(s));
    return u[0];
  };
  const v = new Float64Array(3);
  const tangent = (at: number, fromLeft: boolean): Vec3 => {
    curve.velocityAt(v, 0, at, fromLeft);
    const l = Math.hypot(v[0], v[1], v[2]) || 1;
    return [v[0] / l, v[1] / l, v[2] / l];
  };
  const points: PathPoint[] = [{ position: pointOn(curve, 0) }];
  const leg = (s0: number, s1: number, u0: number, u1: number): void => {
    const [p0, p3] = [pointOn(curve, u0), pointOn(curve, u1)];
    const third = (s1 - s0) / 3;
    const [out, into] = [scale(tangent(u0, false), third), scale(tangent(u1, true), -third)];
    let off = 0;
    for (let k = 1; k <= CHECKS; k++) {
      const t = k / (CHECKS + 1);
      const at = paramAt(s0 + (s1 - s0) * t);
      const d = sub(cubicAt(p0, out, into, p3, t), pointOn(curve, at));
      off = Math.max(off, length(cross(d, tangent(at, false))));
    }
    if (off > tolerance && points.length < MOST_LEGS) {
      const middle = (s0 + s1) / 2;
      const at = paramAt(middle);
      leg(s0, middle, u0, at);
      leg(middle, s1, at, u1);
      return;
    }
    points[points.length - 1] = { ...points[points.length - 1], handleOut: out };
    points.push({ position: p3, handleIn: into });
  };
  const { breaks } = curve;
  const stations = Array.from(breaks, (at) => stationOf(table, at));
  for (let i = 0; i + 1 < breaks.length; i++) leg(stations[i], stations[i + 1], breaks[i], breaks[i + 1]);
  if (!curve.closed) return points;
  const last = points.pop()!;
  return [{ ...points[0], handleIn: last.handleIn }, ...points.slice(1)];
}

function cubicAt(p0: Vec3, out: Vec3, into: Vec3, p3: Vec3, t: number): Vec3 {
  const s = 1 - t;
  const at = (c: 0 | 1 | 2) =>
    s * s * s * p0[c] + 3 * s * s * t * (p0[c] + out[c]) + 3 * s * t * t * (p3[c] + into[c]) + t * t * t * p3[c];
  return [at(0), at(1), at(2)];
}
