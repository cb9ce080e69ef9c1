import { SIDE, UP } from '../frames/frame-table';
import { GAUGE_SIDE, GAUGE_UP, OFFSET_SIDE, OFFSET_UP } from './frame-on';

/** How far a section reaches in direction (y, z) of its own plane, times that direction's length; see `reachTowards`. */
export type Support = (y: number, z: number) => number;

/** How far the section reaches along a vector, times that vector's length, on a frame of a shape; metres. */
export function sectionReach(support: Support, frame: Float64Array, x: number, y: number, z: number): number {
  const up = x * frame[UP] + y * frame[UP + 1] + z * frame[UP + 2];
  const side = x * frame[SIDE] + y * frame[SIDE + 1] + z * frame[SIDE + 2];
  const own = support(up * frame[GAUGE_UP], side * frame[GAUGE_SIDE]);
  return own + up * frame[OFFSET_UP] + side * frame[OFFSET_SIDE];
}
