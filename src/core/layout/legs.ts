import { fail, ok, type Result } from '../math/result';
import type { LaidPath } from './laid-path';
import type { LayingSpec } from './laying-spec';

/** A part of a course that is laid for itself, and what stands at its end. Metres as the fit measures them. */
export interface Leg {
  readonly start: number;
  readonly end: number;
  /** Where what parts it from the next one stands; absent after the last. */
  readonly joint?: number;
  /** It begins at one. */
  readonly isAfterJoint?: boolean;
}

export interface PartedInput {
  readonly joints: LayingSpec['joints'];
  readonly path: LaidPath;
  /** Where the body begins and ends. */
  readonly start: number;
  readonly end: number;
  /** It goes once round, so that the last part meets the first. */
  readonly round: boolean;
  /** Length of the piece that stands at joints; 0 = none. */
  readonly piece: number;
}

/** The parts of a course between its joints. Problems: `laying.short-leg` with where it is, its length and what is needed. */
export function partCourse({ joints, path, start, end, round, piece }: PartedInput): Result<readonly Leg[]> {
  const whole = { start, end };
  if (joints.at === 'none') return ok([whole]);
  const { placeOf } = path.measure;
  const stations =
    joints.at === 'points'
      ? path.pointStations
      : path.corners.filter(({ angle }) => angle > joints.angle).map(({ station }) => station);
  const near = (end - start) * 1e-9;
  const inside = stations.map(placeOf).filter((at) => (round ? at < end - near : at > start + near && at < end - near));
  const apart = inside.filter((at, i) => i === 0 || at - inside[i - 1] > near);
  if (apart.length === 0) return ok([whole]);
  const half = piece / 2 + joints.clear;
  // A round begins behind its first joint and ends before it.
  const bounds = round ? [...apart, apart[0] + end - start] : [start, ...apart, end];
  const legs: Leg[] = [];
  for (let i = 0; i + 1 < bounds.length; i++) {
    const from = bounds[i] + (round || i > 0 ? half : 0);
    const to = bounds[i + 1] - (round || i + 2 < bounds.length ? half : 0);
    if (!(to > from))
      return fail('laying.short-leg', {
        station: bounds[i],
        leg: bounds[i + 1] - bounds[i],
        needed: bounds[i + 1] - bounds[i] - to + from,
      });
    const isJoint = round || i + 2 < bounds.length;
    legs.push({ start: from, end: to, ...(isJoint && { joint: bounds[i + 1] }), isAfterJoint: round || i > 0 });
  }
  return ok(legs);
}
