import { BEYOND, HERE } from './rows-there';
import { ROW_FACTOR, ROW_GAUGE, ROW_STRIDE } from '../segment/pieces/rows';

/** Numbers of a joint's pose: place xyz, turn as a quaternion xyzw, scale xyz. */
export const POSE_STRIDE = 10;
const TURN = 3;
const SCALE = 7;

/** What a point is of its size; one of no size at all is of a piece that is not there. */
const POINT = 1e-6;

/** How a joint lies over time: flat, see {@link POSE_STRIDE}, one pose a moment. */
export type JointTrack = Float64Array;

/** Writes the pose of a joint that lies on a row, `by` metres from the origin that places are to count from. Beside what is there it is flat along the path, beyond it a point. */
export function fillPose(out: Float64Array, at: number, row: Float64Array, gone: number, by: readonly number[]): void {
  for (let c = 0; c < 3; c++) out[at + c] = row[c] + by[c];
  fillQuaternion(out, at + TURN, row);
  const across = gone === BEYOND ? POINT : 1;
  out[at + SCALE] = gone === HERE ? row[ROW_FACTOR] : 0;
  out[at + SCALE + 1] = row[ROW_GAUGE] * across;
  out[at + SCALE + 2] = row[ROW_GAUGE + 1] * across;
}

export const rowOf = (frames: Float64Array, i: number): Float64Array =>
  frames.subarray(i * ROW_STRIDE, (i + 1) * ROW_STRIDE);

/** The turn whose axes are a row's forward, up and side (Shepperd 1978: from the largest of the four squares). */
function fillQuaternion(out: Float64Array, at: number, row: Float64Array): void {
  const [xx, xy, xz, yx, yy, yz, zx, zy, zz] = row.subarray(3, 12);
  const squares = [xx - yy - zz, yy - xx - zz, zz - xx - yy, xx + yy + zz];
  const most = squares.indexOf(Math.max(...squares));
  const large = Math.sqrt(1 + squares[most]) / 2;
  const k = 0.25 / large;
  const turn = [
    [large, (xy + yx) * k, (xz + zx) * k, (yz - zy) * k],
    [(xy + yx) * k, large, (yz + zy) * k, (zx - xz) * k],
    [(xz + zx) * k, (yz + zy) * k, large, (xy - yx) * k],
    [(yz - zy) * k, (zx - xz) * k, (xy - yx) * k, large],
  ][most];
  out.set(turn, at);
}

/** Whether what a joint carries is there at a pose at all. */
export const isThere = (track: JointTrack, at: number): boolean => track[at + SCALE + 1] !== 0;

/** Lets every turn be the nearer of its two quaternions to the one before; a pose whose scale is none takes the place and turn of one beside it. */
export function settleTrack(track: JointTrack): void {
  const count = track.length / POSE_STRIDE;
  const copy = (to: number, from: number) =>
    track.copyWithin(to * POSE_STRIDE, from * POSE_STRIDE, from * POSE_STRIDE + SCALE);
  const first = Array.from({ length: count }, (_, i) => i).find((i) => isThere(track, i * POSE_STRIDE));
  if (first === undefined) {
    for (let i = 0; i < count; i++) track[i * POSE_STRIDE + SCALE - 1] = 1;
    return;
  }
  for (let i = first - 1; i >= 0; i--) copy(i, first);
  for (let i = 1; i < count; i++) {
    if (i > first && !isThere(track, i * POSE_STRIDE)) copy(i, i - 1);
    const [now, before] = [i * POSE_STRIDE + TURN, (i - 1) * POSE_STRIDE + TURN];
    let dot = 0;
    for (let c = 0; c < 4; c++) dot += track[now + c] * track[before + c];
    if (dot < 0) for (let c = 0; c < 4; c++) track[now + c] *= -1;
  }
}

/** Whether what a track carries comes or goes, and is of one size as long as it is there: then it does so from one moment to the next, and does not swell. */
export function comesAtOnce(track: JointTrack): boolean {
  let isGone = false;
  for (const c of [SCALE, SCALE + 1]) {
    let most = 0;
    for (let at = c; at < track.length; at += POSE_STRIDE) most = Math.max(most, track[at]);
    for (let at = c; at < track.length; at += POSE_STRIDE) {
      if (track[at] <= most * POINT) isGone = true;
      else if (track[at] <= most * (1 - 1e-6)) return false;
    }
  }
  return isGone;
}

/**
 * The pose between two of a track, as players of glTF blend it: places and scales straight, turns by the shortest way (glTF 2.0, appendix C.4); scales
 * that come at once are those of the moment before.
 */
export function poseBetween(out: Float64Array, track: JointTrack, moment: number, isAtOnce: boolean): void {
  const last = track.length / POSE_STRIDE - 1;
  const i = Math.min(Math.floor(moment), Math.max(last - 1, 0));
  const share = last === 0 ? 0 : moment - i;
  const [a, b] = [i * POSE_STRIDE, Math.min(i + 1, last) * POSE_STRIDE];
  let dot = 0;
  for (let c = 0; c < 4; c++) dot += track[a + TURN + c] * track[b + TURN + c];
  const angle = Math.acos(Math.min(Math.abs(dot), 1));
  const [wa, wb] =
    angle < 1e-6
      ? [1 - share, share]
      : [Math.sin((1 - share) * angle) / Math.sin(angle), Math.sin(share * angle) / Math.sin(angle)];
  for (let c = 0; c < POSE_STRIDE; c++) {
    const isTurn = c >= TURN && c < SCALE;
    if (isAtOnce && c >= SCALE) out[c] = track[(share < 1 ? a : b) + c];
    else out[c] = isTurn ? wa * track[a + c] + Math.sign(dot || 1) * wb * track[b + c] : (1 - share) * track[a + c] + share * track[b + c]; // prettier-ignore
  }
}

/** Writes the matrix of a pose by columns, twelve numbers. */
export function fillMatrix(out: Float64Array, at: number, pose: Float64Array): void {
  const [x, y, z, w] = pose.subarray(TURN, SCALE);
  const axes = [
    1 - 2 * (y * y + z * z), 2 * (x * y + z * w), 2 * (x * z - y * w),
    2 * (x * y - z * w), 1 - 2 * (x * x + z * z), 2 * (y * z + x * w),
    2 * (x * z + y * w), 2 * (y * z - x * w), 1 - 2 * (x * x + y * y),
  ]; // prettier-ignore
  for (let i = 0; i < 9; i++) out[at + i] = axes[i] * pose[SCALE + Math.floor(i / 3)];
  for (let c = 0; c < 3; c++) out[at + 9 + c] = pose[c];
}

/** The inverse of a pose's matrix, by columns, sixteen numbers: how a joint was when its mesh was bound to it. */
export function inverseOf(pose: Float64Array): Float64Array {
  const m = new Float64Array(12);
  fillMatrix(m, 0, pose);
  const out = new Float64Array(16);
  out[15] = 1;
  for (let axis = 0; axis < 3; axis++) {
    const size = pose[SCALE + axis] ** 2;
    for (let c = 0; c < 3; c++) {
      out[c * 4 + axis] = m[axis * 3 + c] / size;
      out[12 + axis] -= (m[axis * 3 + c] / size) * pose[c];
    }
  }
  return out;
}
