import { fillParams, stationOf as stationAlong, type ArcTable } from '../curve/arc-table';
import { SIDE, UP } from '../frames/frame-table';
import { frameOn, OFFSET_SIDE, OFFSET_UP } from '../shape/frame-on';
import type { Shape } from '../shape/shape';

/** A line by a parameter that grows along it. */
export interface ChordLine {
  /** Parameters: where the part begins and ends, and of one round of a closed line. */
  readonly from: number;
  readonly to: number;
  readonly round: number;
  place(out: Float64Array, at: number, t: number): void;
  /** Parameter per metre. */
  perMetre(t: number): number;
  stationOf(t: number): number;
  /** Of ascending parameters, metres. */
  stationsOf(at: readonly number[]): Float64Array;
  paramOf(station: number): number;
}

const isWholeLoop = (closed: boolean, length: number, from: number, to: number): boolean =>
  closed && to - from >= length * (1 - 1e-9);

/** A run that lies beside its path, by stations. */
export function besideLine(shape: Shape, from: number, to: number): ChordLine {
  const { closed, length } = shape.table;
  return {
    from,
    to,
    round: isWholeLoop(closed, length, from, to) ? length : 0,
    place: (out, at, station) => placeBeside(out, at, shape, station),
    perMetre: () => 1,
    stationOf: (station) => station,
    stationsOf: (at) => Float64Array.from(at),
    paramOf: (station) => station,
  };
}

/** A curve, by its own parameter. */
export function curveLine(arc: ArcTable, from: number, to: number): ChordLine {
  const { length } = arc;
  const { closed } = arc.curve;
  const isAllRound = isWholeLoop(closed, length, from, to);
  const { curve } = arc;
  const velocity = new Float64Array(3);
  const paramOf = (station: number) => {
    const rounds = closed ? Math.floor(station / length) : 0;
    const out = new Float64Array(1);
    fillParams(out, arc, Float64Array.of(station - rounds * length));
    return rounds + out[0];
  };
  const stationOf = (t: number) => {
    const rounds = closed ? Math.floor(t) : 0;
    return rounds * length + stationAlong(arc, t - rounds);
  };
  const inside = (t: number) => (closed ? t - Math.floor(t) : Math.min(Math.max(t, 0), 1));
  return {
    from: paramOf(from),
    to: to >= length && !closed ? 1 : isAllRound ? paramOf(from) + 1 : paramOf(to),
    round: isAllRound ? 1 : 0,
    place(out, at, t) {
      const u = inside(t);
      curve.pointAt(out, at, u);
      if (u === t || closed) return;
      // Straight on beyond an open path's end.
      curve.velocityAt(velocity, 0, u, u === 1);
      for (let c = 0; c < 3; c++) out[at + c] += velocity[c] * (t - u);
    },
    perMetre(t) {
      const u = inside(t);
      curve.velocityAt(velocity, 0, u, u === 1);
      return 1 / Math.max(Math.hypot(velocity[0], velocity[1], velocity[2]), length * 1e-9);
    },
    stationOf,
    stationsOf: (at) => Float64Array.from(at, stationOf),
    paramOf,
  };
}

/** The place of a run that lies beside its path. */
function placeBeside(out: Float64Array, at: number, shape: Shape, station: number): void {
  const frame = frameOn(shape, station);
  for (let c = 0; c < 3; c++)
    out[at + c] = frame[c] + frame[OFFSET_UP] * frame[UP + c] + frame[OFFSET_SIDE] * frame[SIDE + c];
}
