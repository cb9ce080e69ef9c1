import { STEEP_ANGLE } from '../../math/tolerance';
import { normalize, type Vec3 } from '../../math/vec3';
import { angleFromUp, carryUp, setUp, turnBetween, turnUp } from '../double-reflection';
import { defineFrameRule, type FrameRuleInput } from '../frame-rule';
import { FORWARD, FRAME_STRIDE, UP, type SteepReach } from '../frame-table';
import { leastTwist } from './least-twist';

/**
 * Up as near as can be to the up direction. Where forward comes within a few degrees of it there is no such up: the frame
 * is carried over the gap with least twist, and what it is off by at the far side is spread evenly over the gap. So it is where the up
 * of either side would turn over too fast. On a closed path gaps go on over its seam.
 */
export const upright = defineFrameRule({
  kind: 'upright',
  label: 'Keep upright',
  hint: 'Up stays up: roads, rails, walls',
  fillUps(frames, { stations, closed, up }) {
    const ref = normalize(up, [0, 1, 0]);
    const count = stations.length;
    const limit = Math.cos(STEEP_ANGLE);
    /** Samples whose up follows from those beside them. */
    const loose = new Uint8Array(count);
    for (let i = 0; i < count; i++) {
      const at = i * FRAME_STRIDE + FORWARD;
      const along = frames[at] * ref[0] + frames[at + 1] * ref[1] + frames[at + 2] * ref[2];
      if (Math.abs(along) > limit) loose[i] = 1;
      else setUp(frames, i, ref[0], ref[1], ref[2]);
    }
    const gaps = stretches(loose, closed);
    const steep = gaps.map(([from, to]): SteepReach => reachOf(stations, from, to));
    const line = new Line(stations, closed);
    const fast = fastPlaces(frames, { stations, closed }, loose, ref).map((i) => [i, i + 1] as const);
    line.widen(loose, [...gaps, ...fast]);
    const bridged = stretches(loose, closed);
    if (bridged[0] && bridged[0][1] - bridged[0][0] === count - 1) leastTwist.fillUps(frames, { stations, closed, up });
    else for (const [from, to] of bridged) line.bridge(frames, from - 1, to + 1);
    return { closingTwist: 0, steep };
  },
});

/** What upright turns beyond least twist within a place that is nearly steep is spread over at least this share of the path. */
const SPREAD = 0.02;
/** At a corner the up of either side may differ by this much, radians. */
const MOST_AT_CORNER = 0.5;

/** First and last of each stretch of marked samples. On a closed path one that goes over the seam ends beyond the last sample. */
function stretches(marked: Uint8Array, closed: boolean): [number, number][] {
  const found: [number, number][] = [];
  const { length } = marked;
  for (let i = 0; i < length; i++) {
    if (marked[i] === 0) continue;
    const first = i;
    while (i + 1 < length && marked[i + 1] === 1) i++;
    found.push([first, i]);
  }
  const [first, last] = [found[0], found[found.length - 1]];
  if (closed && first && last && first !== last && first[0] === 0 && last[1] === length - 1) {
    last[1] = length + first[1];
    found.shift();
  }
  return found;
}

/** Of a stretch that goes over the seam, the longer part. */
function reachOf(stations: Float64Array, from: number, to: number): SteepReach {
  const end = stations.length - 1;
  if (to <= end) return [stations[from], stations[to]];
  const [before, after] = [stations[end] - stations[from], stations[to - end - 1]];
  return before >= after ? [stations[from], stations[end]] : [0, after];
}

/** Samples on steep slopes from which up would turn to the next one's faster than half a turn in {@link SPREAD}; behind the last of a closed path comes the first. */
function fastPlaces(
  frames: Float64Array,
  { stations, closed }: Pick<FrameRuleInput, 'stations' | 'closed'>,
  loose: Uint8Array,
  ref: Vec3,
): number[] {
  const last = stations.length - 1;
  const fastest = Math.PI / (SPREAD * stations[last]);
  const found: number[] = [];
  for (let i = 0; i < (closed ? last + 1 : last); i++) {
    const next = i < last ? i + 1 : 0;
    if (loose[i] === 1 || loose[next] === 1) continue;
    const gap = i < last ? stations[next] - stations[i] : 0;
    const most = gap > 0 ? fastest * gap : MOST_AT_CORNER;
    if (!isSlow(frames, i, next, ref, most) && Math.abs(turnBetween(frames, i, next)) > most) found.push(i);
  }
  return found;
}

/**
 * Whether the turn of upright from one sample to the next is surely less than `most`: it is that of forward times the tangent of the
 * slope, and twice that is above any rounding.
 */
function isSlow(frames: Float64Array, i: number, j: number, [x, y, z]: Vec3, most: number): boolean {
  const [at, next] = [i * FRAME_STRIDE + FORWARD, j * FRAME_STRIDE + FORWARD];
  const dx = frames[next] - frames[at];
  const dy = frames[next + 1] - frames[at + 1];
  const dz = frames[next + 2] - frames[at + 2];
  const rise = frames[at] * x + frames[at + 1] * y + frames[at + 2] * z;
  const nextRise = rise + dx * x + dy * y + dz * z;
  const steeper = Math.max(rise * rise, nextRise * nextRise);
  if (steeper < GENTLE) return true; // there it turns less than forward does
  return 4 * (dx * dx + dy * dy + dz * dz) * steeper < most * most * (1 - steeper);
}

/** Square of the sine of 45 degrees. */
const GENTLE = 0.5;

/** Samples by a number that goes on over the seam of a closed path. */
class Line {
  readonly #stations: Float64Array;
  readonly #closed: boolean;

  constructor(stations: Float64Array, closed: boolean) {
    this.#stations = stations;
    this.#closed = closed;
  }

  has = (k: number): boolean => this.#closed || (k >= 0 && k < this.#stations.length);

  sample(k: number): number {
    const n = this.#stations.length;
    return ((k % n) + n) % n;
  }

  station(k: number): number {
    const n = this.#stations.length;
    return this.#stations[this.sample(k)] + this.#stations[n - 1] * Math.floor(k / n);
  }

  /** Marks stretches, and samples around them until each is as long as {@link SPREAD} asks. */
  widen(marked: Uint8Array, found: readonly (readonly [from: number, to: number])[]): void {
    const n = this.#stations.length;
    const length = this.#stations[n - 1];
    const wide = found.flatMap(([from, to]) => {
      const [start, end] = [this.station(from), this.station(to)];
      const more = Math.max((length * SPREAD - (end - start)) / 2, 0);
      const [low, high] = [start - more, end + more];
      // What goes over the seam of a closed path goes on at its other end.
      return [[low, high], ...(this.#closed ? [[low + length, high + length], [low - length, high - length]] : [])] as [number, number][]; // prettier-ignore
    });
    wide.sort((a, b) => a[0] - b[0]);
    let next = 0;
    let until = -Infinity;
    for (let i = 0; i < n; i++) {
      for (; next < wide.length && wide[next][0] <= this.#stations[i]; next++) until = Math.max(until, wide[next][1]);
      if (this.#stations[i] <= until) marked[i] = 1;
    }
  }

  /** Carries up over the samples strictly between two; where one of those is not there, from the other one. */
  bridge(frames: Float64Array, before: number, after: number): void {
    if (!this.has(before)) {
      for (let k = after; k > before + 1; k--) carryUp(frames, k, k - 1);
      return;
    }
    const isOpen = !this.has(after);
    const end = isOpen ? after - 1 : after;
    const last = this.sample(end) * FRAME_STRIDE + UP;
    const target = [frames[last], frames[last + 1], frames[last + 2]] as const;
    for (let k = before; k < end; k++) carryUp(frames, this.sample(k), this.sample(k + 1));
    if (isOpen) return;
    const left = angleFromUp(frames, this.sample(after), ...target);
    const start = this.station(before);
    const over = this.station(after) - start;
    for (let k = before + 1; k < after; k++) turnUp(frames, this.sample(k), (left * (this.station(k) - start)) / over);
    frames.set(target, last);
  }
}
