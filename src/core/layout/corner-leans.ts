import { FORWARD, FRAME_STRIDE, SIDE, UP, type Kink } from '../frames/frame-table';
import type { Lean } from '../segment/mitred-segment';
import { frameOn } from '../shape/frame-on';
import type { Shape } from '../shape/shape';
import type { FitSpec } from './fit-registry';
import type { Placement } from './placement';
import { standUpright } from './upright';

/** How the ends of a stiff piece lean that meet others in corners of the path: in the planes that bisect them. */
export function leansOf(
  { station, factor, natural, meets }: Placement,
  shape: Shape,
  fit: FitSpec,
): { readonly start?: Lean | undefined; readonly end?: Lean | undefined } {
  if (fit.kind !== 'stiff' || !meets) return {};
  const isPlumb = fit.stands === 'plumb';
  const pose = frameOn(shape, station + (factor * natural) / 2);
  if (isPlumb) standUpright(pose);
  const at = (place: number): Lean | undefined => {
    const { length, kinks } = shape.table;
    const own = ((place % length) + length) % length;
    const near = length * 1e-7;
    const kink = kinks.find(
      (each) => Math.abs(each.station - own) < near || Math.abs(each.station - own) > length - near,
    );
    // x of the corner on the piece, which keeps its length about its middle.
    const x = natural / 2 + place - station - (factor * natural) / 2;
    return kink && { at: x, ...leanIn(kink, shape, pose, isPlumb) };
  };
  return {
    start: meets.start ? at(station) : undefined,
    end: meets.end ? at(station + factor * natural) : undefined,
  };
}

/** The plane that bisects a corner, in the axes of a pose beside it. */
function leanIn({ before, after }: Kink, { table }: Shape, pose: Float64Array, isPlumb: boolean): Omit<Lean, 'at'> {
  const way = (sample: number) => {
    const frame = new Float64Array(pose.length);
    frame.set(table.frames.subarray(sample * FRAME_STRIDE, (sample + 1) * FRAME_STRIDE));
    if (isPlumb) standUpright(frame);
    return frame.subarray(FORWARD, FORWARD + 3);
  };
  const [a, b] = [way(before), way(after)];
  const along = (axis: number) => [0, 1, 2].reduce((sum, c) => sum + (a[c] + b[c]) * pose[axis + c], 0);
  // Points p of the plane have p . (a + b) = 0: x along forward follows from y and z.
  const forward = along(FORWARD) || 1e-9;
  return { up: -along(UP) / forward, side: -along(SIDE) / forward };
}
