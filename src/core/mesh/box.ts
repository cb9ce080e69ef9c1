import type { Vec3 } from '../math/vec3';

/** An axis-aligned box, metres. Empty: min above max. */
export interface Box {
  readonly min: Vec3;
  readonly max: Vec3;
}

/** The box round flat xyz positions. */
export function boxOf(positions: Float32Array): Box {
  let x0 = Infinity;
  let y0 = Infinity;
  let z0 = Infinity;
  let x1 = -Infinity;
  let y1 = -Infinity;
  let z1 = -Infinity;
  for (let i = 0; i < positions.length; i += 3) {
    const x = positions[i];
    const y = positions[i + 1];
    const z = positions[i + 2];
    if (x < x0) x0 = x;
    if (x > x1) x1 = x;
    if (y < y0) y0 = y;
    if (y > y1) y1 = y;
    if (z < z0) z0 = z;
    if (z > z1) z1 = z;
  }
  return { min: [x0, y0, z0], max: [x1, y1, z1] };
}

export const boxSize = ({ min, max }: Box): Vec3 => [max[0] - min[0], max[1] - min[1], max[2] - min[2]];
export const boxMiddle = ({ min, max }: Box): Vec3 => [
  (max[0] + min[0]) / 2,
  (max[1] + min[1]) / 2,
  (max[2] + min[2]) / 2,
];
