import type { ArcTable } from '../curve/arc-table';
import type { Shape } from '../shape/shape';
import { besideLine, curveLine, type ChordLine } from './chord-line';
import { nextPin } from './pin-search';

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

/** A link that takes more than this many times its length of path no longer follows it: half a circle is pi / 2. */
const MOST_ARC = 1.6;

/** More than there may be. */
const MOST_LINKS = 200_001;

/** The chords of a shape's line from station `from` to `to`, metres; with its offsets, where the run lies beside its path. */
export function chordsOf(shape: Shape, from: number, to: number): Chords {
  const isBeside = shape.lanes.some(({ name }) => name === 'offsetUp' || name === 'offsetSide');
  return chordsOn(isBeside ? besideLine(shape, from, to) : curveLine(shape.table.arc, from, to), from);
}

/** The chords of a curve itself, all of it. */
export const chordsAlong = (arc: ArcTable): Chords => chordsOn(curveLine(arc, 0, arc.length), 0);

function chordsOn(line: ChordLine, from: number): Chords {
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
