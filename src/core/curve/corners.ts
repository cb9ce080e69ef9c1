import { add, cross, distance, dot, length, normalize, scale, sub, type Vec3 } from '../math/vec3';
import type { PathPoint } from './path-spec';

/** The arc that rounds a corner between two straight legs. */
export interface Corner {
  /** Radius in use, metres; 0 = sharp. */
  readonly radius: number;
  /** Turn at the corner, radians in [0, pi]. */
  readonly turn: number;
  /** From the corner back to where the arc starts, metres. */
  readonly tangent: number;
  readonly start: Vec3;
  readonly end: Vec3;
  readonly centre: Vec3;
  /** Unit vectors from the centre to the arc's start, and along forward there. */
  readonly e1: Vec3;
  readonly e2: Vec3;
}

/**
 * Fits an arc into every corner; undefined at open ends. Where two arcs need more of a leg than it has, both shrink by
 * one factor, the smallest that their legs ask for. Tangent length = radius tan(turn / 2).
 */
export function fitCorners(points: readonly PathPoint[], closed: boolean): (Corner | undefined)[] {
  const n = points.length;
  const p = points.map((point) => point.position);
  const isCorner = (i: number) => n > 2 && (closed || (i > 0 && i < n - 1));
  const wanted = p.map((_, i) => (isCorner(i) ? (points[i].radius ?? 0) * Math.tan(turnAt(p, i) / 2) : 0));
  const factor = shareLegs(p, wanted, closed);
  return p.map((corner, i) => {
    if (!isCorner(i)) return undefined;
    const asked = points[i].radius ?? 0;
    // A turn straight back has an infinite tangent: no arc fits, the corner stays sharp.
    const k = Number.isFinite(wanted[i]) && wanted[i] < 1e12 ? factor[i] : 0;
    return buildCorner(p[(i + n - 1) % n], corner, p[(i + 1) % n], asked * k, turnAt(p, i));
  });
}

/** By how much each corner shrinks where it and its neighbour want more metres of the leg between them than it has. */
export function shareLegs(p: readonly Vec3[], wanted: readonly number[], closed: boolean): Float64Array {
  const n = p.length;
  const factor = new Float64Array(n).fill(1);
  for (let i = 0; i < (closed ? n : n - 1); i++) {
    const j = (i + 1) % n;
    const room = distance(p[i], p[j]);
    const need = wanted[i] + wanted[j];
    if (need > room) for (const k of [i, j]) factor[k] = Math.min(factor[k], room / need);
  }
  return factor;
}

/** Turn of the polyline at point i, radians in [0, pi]; the ends are neighbours. */
export function turnAt(p: readonly Vec3[], i: number): number {
  const n = p.length;
  const a = normalize(sub(p[i], p[(i + n - 1) % n]));
  const b = normalize(sub(p[(i + 1) % n], p[i]));
  return Math.atan2(length(cross(a, b)), dot(a, b));
}

function buildCorner(before: Vec3, corner: Vec3, after: Vec3, radius: number, turn: number): Corner {
  const forward = normalize(sub(corner, before));
  const leaving = normalize(sub(after, corner));
  const tangent = radius * Math.tan(turn / 2);
  const used = radius > 0 && turn > 1e-9 ? radius : 0;
  const start = used ? sub(corner, scale(forward, tangent)) : corner;
  const end = used ? add(corner, scale(leaving, tangent)) : corner;
  const inward = normalize(sub(leaving, scale(forward, dot(leaving, forward))), [0, 1, 0]);
  const centre = add(start, scale(inward, used));
  return { radius: used, turn, tangent: used ? tangent : 0, start, end, centre, e1: scale(inward, -1), e2: forward };
}
