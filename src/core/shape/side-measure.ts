import { CURVATURE, SIDE, UP } from '../frames/frame-table';
import type { Box } from '../mesh/box';
import { fillFrameOn, GAUGE_SIDE, GAUGE_UP, OFFSET_SIDE, OFFSET_UP, SHAPE_STRIDE } from './frame-on';
import { measureBy, type Measure } from './measure';
import type { Shape } from './shape';

/** A side that folds over is as long as this share of the path at the least. */
const LEAST = 0.02;

/**
 * A run measured along its side towards the bend, or the one away from it: with curvature vector k, what lies at o from the path is (1 - k o) as long
 * (the frame equations), o the point of the section's box that lies farthest that way.
 */
export function buildSideMeasure(shape: Shape, { min, max }: Box, side: 'inner' | 'outer'): Measure {
  const frame = new Float64Array(SHAPE_STRIDE);
  const farthest = (low: number, high: number, towards: number) => (towards > 0 ? high : low) * towards;
  const rate = (station: number) => {
    fillFrameOn(frame, 0, shape, station);
    const along = (axis: number) => [0, 1, 2].reduce((sum, c) => sum + frame[CURVATURE + c] * frame[axis + c], 0);
    const [up, across] = [along(UP), along(SIDE)];
    const way = side === 'inner' ? 1 : -1;
    const reach =
      farthest(min[1], max[1], way * up * frame[GAUGE_UP]) + farthest(min[2], max[2], way * across * frame[GAUGE_SIDE]);
    return Math.max(1 - way * reach - up * frame[OFFSET_UP] - across * frame[OFFSET_SIDE], LEAST);
  };
  return measureBy(shape.table, rate);
}
