import { normalize, scale, sub, length, cross, type Vec3 } from '../math/vec3';
import { fillParams, type ArcTable } from './arc-table';
import type { Curve } from './curve';

/** A stretch of a path that is to be straight, metres from its start. */
export interface StiffStretch {
  readonly from: number;
  readonly to: number;
}

/** Times its own length that a stretch takes on either side to come into the bend again, where there is room. */
export const BLEND = 2;
/** Stretches shorter than this share of the path are none. */
const LEAST = 1e-6;

/** What the curve is at a station: place, direction, and curvature vector (1/m). */
interface Pose {
  readonly place: Vec3;
  readonly along: Vec3;
  readonly bend: Vec3;
}

/** A part of the curve by which another one is replaced, over [u0, u1]: a polynomial in (u - u0) / (u1 - u0), lowest power first. */
interface Part {
  readonly u0: number;
  readonly u1: number;
  readonly terms: readonly Vec3[];
}

/** The stretches in order and apart, within a path of a length; those that touch are one. */
export function soundStretches(stretches: readonly StiffStretch[], whole: number): readonly StiffStretch[] {
  const made: StiffStretch[] = [];
  const sorted = stretches
    .map(({ from, to }) => ({ from: Math.max(Math.min(from, to), 0), to: Math.min(Math.max(from, to), whole) }))
    .filter(({ from, to }) => to - from > whole * LEAST)
    .toSorted((a, b) => a.from - b.from);
  for (const own of sorted) {
    const last = made.at(-1);
    if (last && own.from <= last.to + whole * LEAST)
      made[made.length - 1] = { from: last.from, to: Math.max(last.to, own.to) };
    else made.push(own);
  }
  return made;
}

/**
 * A curve that is straight where it must be stiff: along the chord between the stretch's two ends, at an end of an open path on in the direction that the
 * path has there. On either side it comes into its bend again over twice its own length, or half of what lies between two, with place,
 * direction and curvature as the curve has them (quintic Hermite). Its parameter, points and everything else are the curve's own.
 */
export function stiffenCurve(arc: ArcTable, asked: readonly StiffStretch[]): Curve {
  const { curve, length: whole } = arc;
  const stretches = soundStretches(asked, whole);
  if (stretches.length === 0) return curve;
  const parts = stretches.flatMap((own, i) => {
    const free = (gap: number, isEnd: boolean) => Math.min((own.to - own.from) * BLEND, isEnd ? gap : gap / 2);
    const before = free(own.from - (stretches[i - 1]?.to ?? 0), i === 0);
    const after = free((stretches[i + 1]?.from ?? whole) - own.to, i === stretches.length - 1);
    return straightened(arc, own, before, after);
  });
  const at = (u: number, fromLeft: boolean): Part | undefined => {
    let [low, high] = [0, parts.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (fromLeft ? parts[middle].u1 < u : parts[middle].u1 <= u) low = middle + 1;
      else high = middle;
    }
    const part = parts[low] as Part | undefined;
    return part && (fromLeft ? u > part.u0 : u >= part.u0) ? part : undefined;
  };
  const write = (out: Float64Array, to: number, part: Part, u: number, order: 0 | 1 | 2): void => {
    const span = part.u1 - part.u0;
    const t = (u - part.u0) / span;
    for (let c = 0; c < 3; c++) {
      let sum = 0;
      for (let k = part.terms.length - 1; k >= order; k--) {
        const factor = order === 0 ? 1 : order === 1 ? k : k * (k - 1);
        sum = sum * t + factor * part.terms[k][c];
      }
      out[to + c] = sum / span ** order;
    }
  };
  const edges = parts.flatMap(({ u0, u1 }) => [u0, u1]);
  return {
    closed: curve.closed,
    breaks: Float64Array.from(new Set([...curve.breaks, ...edges])).sort(),
    pointParams: curve.pointParams,
    pointAt(out, to, u) {
      const part = at(u, u >= 1);
      if (part) write(out, to, part, u, 0);
      else curve.pointAt(out, to, u);
    },
    velocityAt(out, to, u, fromLeft = u >= 1) {
      const part = at(u, fromLeft);
      if (part) write(out, to, part, u, 1);
      else curve.velocityAt(out, to, u, fromLeft);
    },
    accelerationAt(out, to, u, fromLeft = u >= 1) {
      const part = at(u, fromLeft);
      if (part) write(out, to, part, u, 2);
      else curve.accelerationAt(out, to, u, fromLeft);
    },
  };
}

/** The parts that make one stretch straight, with what comes before and after it, metres. */
function straightened(arc: ArcTable, { from, to }: StiffStretch, before: number, after: number): Part[] {
  const { curve, length: whole } = arc;
  const params = new Float64Array(4);
  fillParams(params, arc, Float64Array.of(from - before, from, to, to + after));
  const [u0, u1, u2, u3] = params as unknown as readonly [number, number, number, number];
  const [start, end] = [poseAt(curve, u1, false), poseAt(curve, u2, true)];
  const long = to - from;
  const isOpen = !curve.closed;
  const atStart = isOpen && from <= whole * LEAST;
  const atEnd = isOpen && to >= whole * (1 - LEAST);
  const along = atStart ? start.along : atEnd ? end.along : normalize(sub(end.place, start.place), start.along);
  const a = atEnd && !atStart ? sub(end.place, scale(along, long)) : start.place;
  const b =
    atEnd && !atStart
      ? end.place
      : atStart
        ? ([0, 1, 2].map((c) => a[c] + along[c] * long) as unknown as Vec3)
        : end.place;
  const straight = { along, bend: [0, 0, 0] as Vec3 };
  return [
    ...(before > 0 ? [joined(u0, u1, before, poseAt(curve, u0, true), { place: a, ...straight })] : []),
    { u0: u1, u1: u2, terms: [a, sub(b, a)] },
    ...(after > 0 ? [joined(u2, u3, after, { place: b, ...straight }, poseAt(curve, u3, false))] : []),
  ];
}

function poseAt(curve: Curve, u: number, fromLeft: boolean): Pose {
  const [p, v, a] = [new Float64Array(3), new Float64Array(3), new Float64Array(3)];
  const isLeft = (fromLeft && u > 0) || u >= 1;
  curve.pointAt(p, 0, u);
  curve.velocityAt(v, 0, u, isLeft);
  curve.accelerationAt(a, 0, u, isLeft);
  const [velocity, acceleration] = [vec(v), vec(a)];
  const speed = length(velocity) || 1;
  // The curvature vector: v x (a x v) over the fourth power of the speed (any textbook on curves).
  const bend = scale(cross(velocity, cross(acceleration, velocity)), 1 / speed ** 4);
  return { place: vec(p), along: scale(velocity, 1 / speed), bend };
}

const vec = (v: Float64Array): Vec3 => [v[0], v[1], v[2]];

/** The quintic that goes from one pose to another over about `long` metres. */
function joined(u0: number, u1: number, long: number, from: Pose, to: Pose): Part {
  const terms = [0, 1, 2, 3, 4, 5].map(
    (k) =>
      [0, 1, 2].map((c) => {
        const [p0, p1] = [from.place[c], to.place[c]];
        const [v0, v1] = [from.along[c] * long, to.along[c] * long];
        const [a0, a1] = [from.bend[c] * long * long, to.bend[c] * long * long];
        const d = p1 - p0;
        return [
          p0,
          v0,
          a0 / 2,
          10 * d - 6 * v0 - 4 * v1 - 1.5 * a0 + 0.5 * a1,
          -15 * d + 8 * v0 + 7 * v1 + 1.5 * a0 - a1,
          6 * d - 3 * (v0 + v1) - 0.5 * a0 + 0.5 * a1,
        ][k];
      }) as unknown as Vec3,
  );
  return { u0, u1, terms };
}
