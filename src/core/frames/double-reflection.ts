import { FORWARD, FRAME_STRIDE, UP } from './frame-table';

/**
 * Carries the up vector of sample `from` to sample `to` with least twist, by one double reflection
 * (Wang, Juettler, Zheng, Liu, Computation of rotation minimizing frames, ACM TOG 27, 2008). Fourth order. Samples in one place are
 * either side of a corner: there the first reflection is along the middle of both forwards, and both together the shortest turn.
 */
export function carryUp(frames: Float64Array, from: number, to: number): void {
  const a = from * FRAME_STRIDE;
  const b = to * FRAME_STRIDE;
  let v1x = frames[b] - frames[a];
  let v1y = frames[b + 1] - frames[a + 1];
  let v1z = frames[b + 2] - frames[a + 2];
  if (v1x === 0 && v1y === 0 && v1z === 0) {
    v1x = frames[a + FORWARD] + frames[b + FORWARD];
    v1y = frames[a + FORWARD + 1] + frames[b + FORWARD + 1];
    v1z = frames[a + FORWARD + 2] + frames[b + FORWARD + 2];
    // Straight back: no turn is shorter than another; that about up keeps up.
    if (v1x * v1x + v1y * v1y + v1z * v1z < 1e-18) {
      setUp(frames, to, frames[a + UP], frames[a + UP + 1], frames[a + UP + 2]);
      return;
    }
  }
  const c1 = v1x * v1x + v1y * v1y + v1z * v1z;
  const ux = frames[a + UP];
  const uy = frames[a + UP + 1];
  const uz = frames[a + UP + 2];
  const tx = frames[a + FORWARD];
  const ty = frames[a + FORWARD + 1];
  const tz = frames[a + FORWARD + 2];
  const ku = c1 > 0 ? (2 * (v1x * ux + v1y * uy + v1z * uz)) / c1 : 0;
  const kt = c1 > 0 ? (2 * (v1x * tx + v1y * ty + v1z * tz)) / c1 : 0;
  const ulx = ux - ku * v1x;
  const uly = uy - ku * v1y;
  const ulz = uz - ku * v1z;
  const v2x = frames[b + FORWARD] - (tx - kt * v1x);
  const v2y = frames[b + FORWARD + 1] - (ty - kt * v1y);
  const v2z = frames[b + FORWARD + 2] - (tz - kt * v1z);
  const c2 = v2x * v2x + v2y * v2y + v2z * v2z;
  const k2 = c2 > 0 ? (2 * (v2x * ulx + v2y * uly + v2z * ulz)) / c2 : 0;
  setUp(frames, to, ulx - k2 * v2x, uly - k2 * v2y, ulz - k2 * v2z);
}

/** Stores an up vector, made square to forward and of unit length; false when nothing is left of it. */
export function setUp(frames: Float64Array, sample: number, x: number, y: number, z: number): boolean {
  const at = sample * FRAME_STRIDE;
  const fx = frames[at + FORWARD];
  const fy = frames[at + FORWARD + 1];
  const fz = frames[at + FORWARD + 2];
  const d = x * fx + y * fy + z * fz;
  const px = x - d * fx;
  const py = y - d * fy;
  const pz = z - d * fz;
  const l = Math.sqrt(px * px + py * py + pz * pz);
  if (l < 1e-12) return false;
  frames[at + UP] = px / l;
  frames[at + UP + 1] = py / l;
  frames[at + UP + 2] = pz / l;
  return true;
}

/** Turns the up vector of a sample by `angle` radians about forward, right-handed. */
export const turnUp = (frames: Float64Array, sample: number, angle: number): void =>
  turnUpBy(frames, sample, Math.cos(angle), Math.sin(angle));

/** As {@link turnUp}, by an angle of cosine `c` and sine `s`. */
function turnUpBy(frames: Float64Array, sample: number, c: number, s: number): void {
  const at = sample * FRAME_STRIDE;
  const fx = frames[at + 3];
  const fy = frames[at + 4];
  const fz = frames[at + 5];
  const ux = frames[at + UP];
  const uy = frames[at + UP + 1];
  const uz = frames[at + UP + 2];
  frames[at + UP] = ux * c + (fy * uz - fz * uy) * s;
  frames[at + UP + 1] = uy * c + (fz * ux - fx * uz) * s;
  frames[at + UP + 2] = uz * c + (fx * uy - fy * ux) * s;
}

/** Signed angle about forward from the stored up vector of `sample` to the vector given. */
export function angleFromUp(frames: Float64Array, sample: number, x: number, y: number, z: number): number {
  const at = sample * FRAME_STRIDE;
  const fx = frames[at + 3];
  const fy = frames[at + 4];
  const fz = frames[at + 5];
  const ux = frames[at + UP];
  const uy = frames[at + UP + 1];
  const uz = frames[at + UP + 2];
  const crossed = (uy * z - uz * y) * fx + (uz * x - ux * z) * fy + (ux * y - uy * x) * fz;
  return Math.atan2(crossed, ux * x + uy * y + uz * z);
}

/** The least turn that carries the up of sample `from` to `to`, and from there the signed angle on to the up that `to` has, radians. */
export function turnBetween(frames: Float64Array, from: number, to: number): number {
  const at = to * FRAME_STRIDE + UP;
  const [x, y, z] = [frames[at], frames[at + 1], frames[at + 2]];
  carryUp(frames, from, to);
  const angle = angleFromUp(frames, to, x, y, z);
  frames[at] = x; // put back
  frames[at + 1] = y;
  frames[at + 2] = z;
  return angle;
}
