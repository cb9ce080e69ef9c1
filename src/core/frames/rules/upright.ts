import { STEEP_ANGLE } from '../../math/tolerance';
import { anyNormal, normalize, type Vec3 } from '../../math/vec3';
import { angleFromUp, carryUp, setUp, turnUp } from '../double-reflection';
import { defineFrameRule } from '../frame-rule';
import { FORWARD, FRAME_STRIDE, UP, type SteepReach } from '../frame-table';

/**
 * Up as near as can be to the up direction. Where forward comes within a few degrees of it there is no such up: the frame
 * is carried over the gap with least twist, and what it is off by at the far side is spread evenly over the gap.
 */
export const upright = defineFrameRule({
  kind: 'upright',
  label: 'Keep upright',
  hint: 'Up stays up: roads, rails, walls',
  fillUps(frames, { intervals, step, up }) {
    const ref = normalize(up, [0, 1, 0]);
    const limit = Math.cos(STEEP_ANGLE);
    const isSteep = (i: number) => {
      const at = i * FRAME_STRIDE + FORWARD;
      return Math.abs(frames[at]! * ref[0] + frames[at + 1]! * ref[1] + frames[at + 2]! * ref[2]) > limit;
    };
    const steep: SteepReach[] = [];
    let i = 0;
    while (i <= intervals) {
      if (!isSteep(i)) {
        setUp(frames, i, ref[0], ref[1], ref[2]);
        i++;
        continue;
      }
      const first = i;
      while (i <= intervals && isSteep(i)) i++;
      steep.push([first * step, Math.min(i - 1, intervals) * step]);
      bridge(frames, first - 1, i, intervals, ref);
    }
    for (const [from, to] of fastPlaces(frames, intervals, ref)) bridge(frames, from, to, intervals, ref);
    return { closingTwist: 0, steep };
  },
});

/** What upright turns beyond least twist within a place that is nearly steep is spread over at least this share of the path. */
const SPREAD = 0.02;

/** Stretches, as samples before and after them, in which upright would turn faster than half a turn in that share; apart, in order. */
function fastPlaces(frames: Float64Array, intervals: number, ref: Vec3): readonly (readonly [number, number])[] {
  const reach = Math.max(Math.round((intervals * SPREAD) / 2), 1);
  const fastest = Math.PI / (2 * reach);
  const pair = new Float64Array(2 * FRAME_STRIDE);
  const places: [number, number][] = [];
  for (let i = 0; i < intervals; i++) {
    const at = i * FRAME_STRIDE;
    if (isSlow(frames, at + FORWARD, ref, fastest)) continue;
    for (let k = 0; k < 2 * FRAME_STRIDE; k++) pair[k] = frames[at + k]!;
    carryUp(pair, 0, 1);
    const next = at + FRAME_STRIDE + UP;
    if (Math.abs(angleFromUp(pair, 1, frames[next]!, frames[next + 1]!, frames[next + 2]!)) <= fastest) continue;
    const last = places[places.length - 1];
    if (last && i - reach <= last[1]) last[1] = i + 1 + reach;
    else places.push([i - reach, i + 1 + reach]);
  }
  return places;
}

/**
 * Whether the turn of upright from one sample to the next is surely less than `fastest`: it is that of forward times the tangent of the
 * slope, and twice that is above any rounding.
 */
function isSlow(frames: Float64Array, at: number, [x, y, z]: Vec3, fastest: number): boolean {
  const next = at + FRAME_STRIDE;
  const dx = frames[next]! - frames[at]!;
  const dy = frames[next + 1]! - frames[at + 1]!;
  const dz = frames[next + 2]! - frames[at + 2]!;
  const rise = frames[at]! * x + frames[at + 1]! * y + frames[at + 2]! * z;
  const nextRise = rise + dx * x + dy * y + dz * z;
  const steeper = Math.max(rise * rise, nextRise * nextRise);
  return 4 * (dx * dx + dy * dy + dz * dz) * steeper < fastest * fastest * (1 - steeper);
}

/** Fills the samples strictly between `before` and `after`; before = -1 and after > intervals: there is no such side. */
function bridge(frames: Float64Array, before: number, after: number, intervals: number, ref: Vec3): void {
  if (before < 0 && after > intervals) {
    setUp(frames, 0, ...anyNormal([frames[FORWARD]!, frames[FORWARD + 1]!, frames[FORWARD + 2]!]));
    for (let k = 0; k < intervals; k++) carryUp(frames, k, k + 1);
    return;
  }
  if (before < 0) {
    setUp(frames, after, ...ref);
    for (let k = after; k > 0; k--) carryUp(frames, k, k - 1);
    return;
  }
  const end = Math.min(after, intervals);
  for (let k = before; k < end; k++) carryUp(frames, k, k + 1);
  if (after > intervals) return;
  const carried = [0, 1, 2].map((c) => frames[after * FRAME_STRIDE + UP + c]!) as unknown as Vec3;
  setUp(frames, after, ...ref);
  const left = -angleFromUp(frames, after, ...carried);
  for (let k = before + 1; k < after; k++) turnUp(frames, k, (left * (k - before)) / (after - before));
}
