import { fillParams, stationOf as stationAlong, type ArcTable } from '../curve/arc-table';
import { frameOn, OFFSET_SIDE, OFFSET_UP } from '../shape/frame-on';
import { SIDE, UP } from '../frames/frame-table';
import { firstAfter } from '../math/first-after';
import { integrateShort } from '../math/gauss-legendre';
import type { Shape } from '../shape/shape';

/** Links of one length laid pin to pin along a line. */
export interface Walk {
  /** Metres along the path: of every pin. */
  readonly stations: Float64Array;
  /** Their places, flat xyz, metres. */
  readonly pins: Float64Array;
  /** Metres from pin to pin. */
  readonly pitch: number;
  /** Metres from the last pin straight to the end, or on a round to the first pin. */
  readonly left: number;
  /** Metres: where a link of this length does not follow the line any more. */
  readonly stuckAt?: number;
}

/** How links lie pin to pin on a part of a path: every pin on it, and as far from the next as a link is long, measured straight. */
export interface Chords {
  /** As many as fit, the first pin at the start; `shift` = metres farther on. */
  walk(pitch: number, shift?: number): Walk;
  /**
   * All round a closed path: the number of links, a multiple of `multiple`, whose pitch comes nearest to the one asked for, and that pitch. With
   * `count`, that number.
   */
  closed(pitch: number, multiple: number, options?: { readonly count?: number; readonly shift?: number }): Walk;
}

/** A line by a parameter that grows along it. */
interface Line {
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

/** A link that takes more than this many times its length of path no longer follows it: half a circle is pi / 2. */
const MOST_ARC = 1.6;

/**
 * The next pin: the first place beyond t at which the straight distance is the pitch, by the secant method from a first guess `step` farther on.
 * NOTES: places alone are asked for, three of them a link where the step of the link before is the guess; with the curve's velocity at every pin
 * it took half as long again.
 */
function nextPin(line: Line, t: number, step: number, pitch: number, pin: Float64Array, out: Float64Array): number {
  const [x, y, z] = pin;
  const enough = Math.max(pitch * 1e-13, Math.max(Math.abs(x), Math.abs(y), Math.abs(z)) * 4e-15);
  let a = t;
  let fa = -pitch;
  let b = t + step;
  let fb = 0;
  // The root lies between these; infinite until a place beyond it is known.
  let low = t;
  let high = Infinity;
  for (let round = 1; round < 100; round++) {
    line.place(out, 0, b);
    const [dx, dy, dz] = [out[0] - x, out[1] - y, out[2] - z];
    fb = Math.sqrt(dx * dx + dy * dy + dz * dz) - pitch;
    if (fb <= enough && fb >= -enough) return b;
    if (fb < 0) low = b;
    else high = b;
    const next = b - (fb * (b - a)) / (fb - fa);
    a = b;
    fa = fb;
    if (next > low && next < high && round % BISECT !== 0) b = next;
    // Where the curve's speed jumps: by halves, or on by what is missing, which passes no nearer root.
    else b = high < Infinity ? (low + high) / 2 : b + (Math.max(-fb, pitch * 1e-3) * step) / pitch;
    if (b === a) break;
  }
  return Math.abs(fb) <= pitch * 1e-9 ? a : NaN;
}

/** After so many rounds of the secant method one by halves. */
const BISECT = 6;

/** The chords of a shape's line from station `from` to `to`, metres; with its offsets, where the run lies beside its path. */
export function chordsOf(shape: Shape, from: number, to: number): Chords {
  const isBeside = shape.lanes.some(({ name }) => name === 'offsetUp' || name === 'offsetSide');
  return chordsOn(isBeside ? besideLine(shape, from, to) : curveLine(shape.table.arc, from, to), from);
}

/** The chords of a curve itself, all of it. */
export const chordsAlong = (arc: ArcTable): Chords => chordsOn(curveLine(arc, 0, arc.length), 0);

function chordsOn(line: Line, from: number): Chords {
  const step = new Float64Array(3);
  /** Parameters of pins: `count` links, or as many as end before `end`. */
  const params = (
    pitch: number,
    start: number,
    { count = Infinity, end = Infinity },
  ): { at: number[]; isStuck: boolean } => {
    const at = [start];
    const pin = new Float64Array(3);
    line.place(pin, 0, start);
    const slack = (line.to - line.from) * 1e-12;
    let long = pitch * line.perMetre(start);
    for (let t = start; at.length <= Math.min(count, MOST_LINKS);) {
      let next = nextPin(line, t, long, pitch, pin, step);
      if (!(next > t && next - t < 2 * long)) {
        // The line has changed since the link before: by its own speed here.
        long = pitch * line.perMetre(t);
        next = nextPin(line, t, long, pitch, pin, step);
      }
      long = next > t ? next - t : long;
      if (!(next > t && next <= end + slack)) {
        // The line ends before this link does; where much of it is left, the link does not follow it.
        const isStuck = end === Infinity || line.stationOf(end) - line.stationOf(t) > MOST_ARC * pitch;
        return { at, isStuck };
      }
      pin.set(step);
      at.push((t = next));
    }
    return { at, isStuck: false };
  };
  const finished = (pitch: number, { at, isStuck }: { at: number[]; isStuck: boolean }, end: number): Walk => {
    const stations = line.stationsOf(at);
    const pins = new Float64Array(at.length * 3);
    at.forEach((t, i) => line.place(pins, i * 3, t));
    let stuckAt = isStuck ? stations[stations.length - 1] : undefined;
    for (let i = 1; i < stations.length && stuckAt === undefined; i++)
      if (stations[i] - stations[i - 1] > MOST_ARC * pitch) stuckAt = stations[i - 1];
    line.place(step, 0, end);
    const left = Math.hypot(...[0, 1, 2].map((c) => step[c] - pins[pins.length - 3 + c]));
    return { stations, pins, pitch, left, ...(stuckAt !== undefined && { stuckAt }) };
  };
  const startOf = (shift: number) => (shift === 0 ? line.from : line.paramOf(from + shift));
  const walk = (pitch: number, shift = 0): Walk => {
    const start = startOf(shift);
    const end = line.round > 0 ? start + line.round : line.to;
    return finished(pitch, params(pitch, start, { end }), end);
  };
  return {
    walk,
    closed(pitch, multiple, { count, shift = 0 } = {}) {
      const start = startOf(shift);
      const end = start + line.round;
      const open = params(pitch, start, { end });
      if (open.isStuck) return finished(pitch, open, end);
      line.place(step, 0, end);
      const last = new Float64Array(3);
      line.place(last, 0, open.at[open.at.length - 1]);
      const real = open.at.length - 1 + Math.hypot(step[0] - last[0], step[1] - last[1], step[2] - last[2]) / pitch;
      const low = Math.max(Math.floor(real / multiple + 1e-9) * multiple, multiple);
      const links = count ?? (Math.abs(real / low - 1) <= Math.abs(real / (low + multiple) - 1) ? low : low + multiple);
      const closedWith = closeWith(links, pitch, real);
      return finished(closedWith.pitch, closedWith, end);

      /** The pitch with which so many links end where they began, by the secant method. */
      function closeWith(n: number, asked: number, fits: number) {
        const tryWith = (p: number) => {
          const walked = params(p, start, { count: n });
          const reached = walked.at[walked.at.length - 1];
          const short = n + 1 - walked.at.length;
          return { p, ...walked, off: (reached - end) / line.perMetre(end) - short * p };
        };
        let a = tryWith((asked * fits) / n);
        let b = tryWith(a.p - a.off / n);
        for (let round = 0; round < 30 && Math.abs(b.off) > asked * 1e-11 && b.off !== a.off; round++) {
          const p = b.p - (b.off * (b.p - a.p)) / (b.off - a.off);
          [a, b] = [b, tryWith(p)];
        }
        const best = Math.abs(b.off) <= Math.abs(a.off) ? b : a;
        // The last pin is the first.
        return { pitch: best.p, at: [...best.at.slice(0, n), end], isStuck: best.isStuck };
      }
    },
  };
}

/** Links after which a station is measured from the curve's start again: no sum of rounding. */
const ANEW = 64;

/** More than there may be. */
const MOST_LINKS = 200_001;

const isWholeLoop = (closed: boolean, length: number, from: number, to: number): boolean =>
  closed && to - from >= length * (1 - 1e-9);

function besideLine(shape: Shape, from: number, to: number): Line {
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

function curveLine(arc: ArcTable, from: number, to: number): Line {
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
  const speed = (u: number) => {
    curve.velocityAt(velocity, 0, u);
    return Math.sqrt(velocity[0] ** 2 + velocity[1] ** 2 + velocity[2] ** 2);
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
    stationsOf(at) {
      const stations = new Float64Array(at.length);
      at.forEach((t, i) => {
        const before = at[i - 1];
        // From pin to pin, where no break of the curve lies between.
        const [u, v] = [inside(before), inside(t)];
        const isSmooth = i > 0 && v > u && firstAfter(curve.breaks, u) === firstAfter(curve.breaks, v) && t <= 1 + Math.floor(before); // prettier-ignore
        stations[i] = isSmooth && i % ANEW !== 0 ? stations[i - 1] + integrateShort(speed, u, v) : stationOf(t);
      });
      return stations;
    },
    paramOf,
  };
}

/** The place of a run that lies beside its path. */
function placeBeside(out: Float64Array, at: number, shape: Shape, station: number): void {
  const frame = frameOn(shape, station);
  for (let c = 0; c < 3; c++)
    out[at + c] = frame[c] + frame[OFFSET_UP] * frame[UP + c] + frame[OFFSET_SIDE] * frame[SIDE + c];
}

/** On a straight line, for rules that are asked without a path. */
export const straightChords = (from: number, to: number): Chords => {
  const length = to - from;
  const walk = (pitch: number, count: number): Walk => ({
    stations: Float64Array.from({ length: count + 1 }, (_, i) => from + i * pitch),
    pins: Float64Array.from({ length: (count + 1) * 3 }, (_, i) => (i % 3 === 0 ? from + (i / 3) * pitch : 0)),
    pitch,
    left: length - count * pitch,
  });
  return {
    walk: (pitch) => walk(pitch, Math.floor((length / pitch) * (1 + 1e-12))),
    closed: (pitch, multiple) => {
      const count = Math.max(Math.round(length / pitch / multiple), 1) * multiple;
      return walk(length / count, count);
    },
  };
};
