import { FORWARD, FRAME_STRIDE, type FrameTable } from '../frames/frame-table';

export interface Slope {
  /** Metres that the path's end lies above its start. */
  readonly rise: number;
  /** Rise over plan length at the steepest place, never negative; Infinity where the path is upright. */
  readonly steepest: number;
  /** Station of that place, metres. */
  readonly station: number;
}

/** How a path rises: over all, and where it is steepest. */
export function slopeOf({ frames, stations }: FrameTable): Slope {
  let [steepest, at] = [0, 0];
  for (let i = 0; i < stations.length; i++) {
    const f = i * FRAME_STRIDE + FORWARD;
    const slope = Math.abs(frames[f + 1]) / Math.hypot(frames[f], frames[f + 2]);
    if (slope > steepest) [steepest, at] = [slope, i];
  }
  return { rise: frames[frames.length - FRAME_STRIDE + 1] - frames[1], steepest, station: stations[at] };
}
