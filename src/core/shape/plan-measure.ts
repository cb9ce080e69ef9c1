import { fillFrame } from '../frames/fill-frame';
import { FORWARD, FRAME_STRIDE, type FrameTable } from '../frames/frame-table';
import { measureBy, type Measure } from './measure';

/** A path measured as it is seen from above. */
export function buildPlanMeasure(table: FrameTable): Measure {
  const { frames } = table;
  const frame = new Float64Array(FRAME_STRIDE);
  const flat = (station: number) => {
    fillFrame(frame, 0, table, station);
    return Math.hypot(frame[FORWARD], frame[FORWARD + 2]);
  };
  return measureBy(table, flat, (i) => {
    const [a, b] = [i * FRAME_STRIDE, (i + 1) * FRAME_STRIDE];
    return frames[a + 1] === frames[b + 1] && frames[a + 4] === 0 && frames[b + 4] === 0;
  });
}
