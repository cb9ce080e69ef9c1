import { eachFrame, type EachOptions } from '../frames/each-frame';
import { fillFrame } from '../frames/fill-frame';
import { FRAME_STRIDE, SIDE, TWIST, UP } from '../frames/frame-table';
import { placesOf, unmoved, type Shape } from './shape';

/**
 * Numbers per frame of a shape: those of a frame table, rolled, with the total twist; then gauge up and sideways (factors), offset up and sideways
 * (metres, along the rolled up and side), and what each of these four gains per metre.
 */
export const SHAPE_STRIDE = FRAME_STRIDE + 8;
export const GAUGE_UP = FRAME_STRIDE;
export const GAUGE_SIDE = FRAME_STRIDE + 1;
export const OFFSET_UP = FRAME_STRIDE + 2;
export const OFFSET_SIDE = FRAME_STRIDE + 3;
/** From a value to its slope. */
export const SLOPE = 4;

/**
 * Writes the frame of a shape at station `s` (metres) into `out`; see {@link SHAPE_STRIDE}. The only way to a rolled frame: whoever needs one asks
 * here. At a corner it is that of the leg which begins there, or, with `isBefore`, of the one that ends.
 * @returns the roll, radians.
 */
export function fillFrameOn(out: Float64Array, at: number, shape: Shape, s: number, isBefore = false): number {
  const { table, reach, isHeld } = shape;
  const station = isHeld ? Math.min(Math.max(s, reach.from), reach.to) : s;
  fillFrame(out, at, table, station, isBefore || (isHeld === true && s >= reach.to));
  return layOn(out, at, shape, station);
}

/** The frame of a shape at a station, see {@link fillFrameOn}. */
export function frameOn(shape: Shape, station: number, isBefore = false): Float64Array {
  const out = new Float64Array(SHAPE_STRIDE);
  fillFrameOn(out, 0, shape, station, isBefore);
  return out;
}

/**
 * Calls back with the frames of a shape over [from, to] (metres) at the ends, at every sample of its path and wherever its lanes change, and where
 * the options ask for more. The frame is valid until the next call. Stations never descend, and go on beyond a closed path's seam.
 */
export function eachFrameOn(
  shape: Shape,
  from: number,
  to: number,
  call: (frame: Float64Array, station: number) => void,
  options: Omit<EachOptions, 'also'> = {},
): void {
  const own = new Float64Array(SHAPE_STRIDE);
  eachFrame(
    shape.table,
    from,
    to,
    (frames, at, station) => {
      for (let k = 0; k < FRAME_STRIDE; k++) own[k] = frames[at + k]!;
      layOn(own, 0, shape, station);
      call(own, station);
    },
    { ...options, also: placesOf(shape) },
  );
}

/** Rolls a frame of the path and writes gauges and offsets behind it. */
function layOn(out: Float64Array, at: number, { lanes, ride }: Shape, station: number): number {
  const g = at + GAUGE_UP;
  out[g] = out[g + 1] = 1;
  out[g + 2] = out[g + 3] = out[g + 4] = out[g + 5] = out[g + 6] = out[g + 7] = 0;
  let angle = 0;
  for (let i = 0; i < lanes.length; i++) {
    const lane = lanes[i];
    const isMoved = ride !== undefined && lane.goesWith === 'run';
    const own = isMoved ? unmoved(ride, station) : station;
    let value: number;
    let slope: number;
    if (lane.line) {
      slope = lane.line.perMetre;
      value = lane.line.value + slope * (own - lane.line.from);
    } else [value, slope] = lane.at(own);
    if (isMoved) slope /= ride.scale;
    if (lane.name === 'roll') {
      angle += value;
      out[at + TWIST] += slope;
    } else if (lane.name === 'gaugeUp' || lane.name === 'gaugeSide') {
      const k = lane.name === 'gaugeUp' ? g : g + 1;
      out[k + SLOPE] = out[k + SLOPE] * value + out[k] * slope;
      out[k] *= value;
    } else if (lane.name === 'offsetUp' || lane.name === 'offsetSide') {
      const k = at + (lane.name === 'offsetUp' ? OFFSET_UP : OFFSET_SIDE);
      out[k] += value;
      out[k + SLOPE] += slope;
    }
  }
  if (angle !== 0) rollFrame(out, at, angle);
  return angle;
}

/** Turns up and side of a frame about forward by an angle, radians. */
export function rollFrame(frames: Float64Array, at: number, angle: number): void {
  const c = Math.cos(angle);
  const s = Math.sin(angle);
  for (let k = at; k < at + 3; k++) {
    const u = frames[k + UP];
    const v = frames[k + SIDE];
    frames[k + UP] = u * c + v * s;
    frames[k + SIDE] = v * c - u * s;
  }
}

/** The greater of a frame's two gauges. */
export const greatestGauge = (frame: Float64Array, at = 0): number =>
  Math.max(frame[at + GAUGE_UP], frame[at + GAUGE_SIDE]);

/** Metres: how far from its path a section whose half width is `half` reaches on a frame. */
export const reachOn = (frame: Float64Array, half: number): number =>
  half * greatestGauge(frame) + Math.hypot(frame[OFFSET_UP], frame[OFFSET_SIDE]);
