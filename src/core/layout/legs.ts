import type { PointCorner } from '../curve/path-spec';
import { fail, ok, type Result } from '../math/result';
import type { LaidPath } from './laid-path';
import type { LayingSpec } from './laying-spec';

/** A part of a course that is laid for itself, and what stands at its end. Metres as the fit measures them. */
export interface Leg {
  readonly start: number;
  readonly end: number;
  /** Where what parts it from the next one stands; absent after the last. */
  readonly joint?: number;
  /** Nothing stands there: what comes to it on either side meets. */
  readonly isBare?: boolean;
  /** It begins at one, and that is bare. */
  readonly isAfterJoint?: boolean;
  readonly isAfterBare?: boolean;
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
  const { placeOf } = path.measure;
  const isJoint = ({ angle, is }: LaidPath['corners'][number]) =>
    is === 'piece' || (joints.at === 'corners' && angle > joints.angle);
  const parting: readonly { readonly station: number; readonly is?: PointCorner | undefined }[] =
    joints.at === 'points' ? path.pointStations.map((station) => ({ station })) : path.corners.filter(isJoint);
  const near = (end - start) * 1e-9;
  const inside = parting
    .map(({ station, is }) => ({ at: placeOf(station), isBare: is === 'mitred' }))
    .filter(({ at }) => (round ? at < end - near : at > start + near && at < end - near));
  const apart = inside.filter(({ at }, i) => i === 0 || at - inside[i - 1].at > near);
  if (apart.length === 0) return ok([whole]);
  const half = ({ isBare }: { isBare: boolean }) => (isBare ? 0 : piece / 2 + joints.clear);
  // A round begins behind its first joint and ends before it.
  const [first] = apart;
  const ends = (at: number) => ({ at, isBare: true });
  const bounds = round ? [...apart, { ...first, at: first.at + end - start }] : [ends(start), ...apart, ends(end)];
  const legs: Leg[] = [];
  for (let i = 0; i + 1 < bounds.length; i++) {
    const [before, after] = [bounds[i], bounds[i + 1]];
    const [isAfterJoint, isParted] = [round || i > 0, round || i + 2 < bounds.length];
    const from = before.at + (isAfterJoint ? half(before) : 0);
    const to = after.at - (isParted ? half(after) : 0);
    const long = after.at - before.at;
    if (!(to > from)) return fail('laying.short-leg', { station: before.at, leg: long, needed: long - to + from });
    const joint = isParted ? { joint: after.at, isBare: after.isBare } : {};
    legs.push({ start: from, end: to, ...joint, isAfterJoint, isAfterBare: isAfterJoint && before.isBare });
  }
  return ok(legs);
}
