import { KINK_ANGLE } from '../../math/tolerance';
import { nearestTurn } from '../../math/nearest-turn';
import { anyNormal } from '../../math/vec3';
import { blendAngles, cellsOf } from '../blend-angles';
import { angleFromUp, carryUp, setUp, turnBetween, turnUp } from '../double-reflection';
import { defineFrameRule } from '../frame-rule';
import { CURVATURE, FORWARD, FRAME_STRIDE } from '../frame-table';

/** The frame turns over from one bend to an opposite one within about this share of the path, or of a bend where those are many. */
const BLEND_SHARE = 0.02;
const BLEND_OF_BEND = 0.03;
/** Half a turn takes at least this share of the path, or of a bend. */
const HALF_TURN_SHARE = 0.025;
const HALF_TURN_OF_BEND = 0.25;
/** Below this share of the tightest bend's curvature, squared, a place has no say in which way it faces. */
const LEAST_WEIGHT = 1e-4;
/** Turns this near to half a turn, radians, go whichever way leads back to where the frame began. */
const EITHER_WAY = 0.35;

/**
 * Up towards the inside of the bend: the principal normal, where there is one. Angles are taken from least twist frames, unwrapped, and
 * blended where the bend is weak or changes sides: least squares of how far they are off, weighted by curvature squared, and of how fast
 * the frame turns. A helix has the normal itself; a flat curve turns to and fro and never winds up.
 */
export const faceBend = defineFrameRule({
  kind: 'faceBend',
  label: 'Face the bend',
  hint: 'Up looks to the inside of every bend: belts, tracks, banked ways',
  fillUps(frames, { stations, closed, up }) {
    const last = stations.length - 1;
    const length = stations[last];
    const forward = [frames[FORWARD], frames[FORWARD + 1], frames[FORWARD + 2]] as const;
    if (!setUp(frames, 0, ...up)) setUp(frames, 0, ...anyNormal(forward));
    for (let i = 0; i < last; i++) carryUp(frames, i, i + 1);
    const { angles, weights, bends } = facing(frames, stations, closed);
    const total = closed ? nearestTurn(turnBetween(frames, last, 0), angles[last] - angles[0]) : undefined;
    const slope = total !== undefined ? total / length : trend(angles, weights, stations);
    const rest = angles.map((angle, i) => angle - slope * stations[i]);
    const given = { angles: rest, weights, stations };
    const [blend, halfTurn] = [
      Math.min(BLEND_SHARE, BLEND_OF_BEND / bends) * length,
      Math.min(HALF_TURN_SHARE, HALF_TURN_OF_BEND / bends) * length,
    ];
    const turns = blendAngles(given, blend, halfTurn, closed);
    for (let i = 0; i <= last; i++) turnUp(frames, i, turns[i] + slope * stations[i]);
    return { closingTwist: 0, steep: [] };
  },
});

/**
 * From the carried up to the inside of the bend, unwrapped; where there is no bend, as before. Weights 0 to 1 times the samples' share of
 * the path. `bends` = stretches that bend to one side.
 */
function facing(frames: Float64Array, stations: Float64Array, closed: boolean) {
  const count = stations.length;
  const angles = new Float64Array(count);
  const weights = cellsOf(stations);
  const inward = inwards(frames, stations, closed, weights);
  let most = 0;
  for (let i = 0; i < count; i++) most = Math.max(most, squared(inward, i * 3));
  let last: number | undefined;
  let home = 0;
  let bends = 1;
  for (let i = 0; i < count; i++) {
    const weight = most > 0 ? squared(inward, i * 3) / most : 0;
    weights[i] *= weight < LEAST_WEIGHT ? 0 : weight;
    if (weight >= LEAST_WEIGHT) {
      const angle = angleFromUp(frames, i, inward[i * 3], inward[i * 3 + 1], inward[i * 3 + 2]);
      if (last === undefined) home = last = angle;
      else {
        const next = nearestTurn(angle, last);
        if (Math.abs(next - last) > Math.PI / 2) bends++;
        last = Math.abs(next - last) > Math.PI - EITHER_WAY ? towards(home, next, last) : next;
      }
    }
    angles[i] = last ?? 0;
  }
  const first = weights.findIndex((weight) => weight > 0);
  if (first > 0) angles.fill(angles[first], 0, first);
  return { angles, weights, bends };
}

/** Of the two ways to turn by about half a turn from `last`, as far as `next` says, the one that ends nearer to `home`; the greater unless the other is far nearer. */
function towards(home: number, next: number, last: number): number {
  const other = next - 2 * Math.PI * Math.sign(next - last);
  const [low, high] = next < other ? [next, other] : [other, next];
  return Math.abs(low - home) < Math.abs(high - home) - 1 ? low : high;
}

/** Curvature vectors of all samples; a corner bends as if its turn were spread over the nearest of its neighbours. */
function inwards(frames: Float64Array, stations: Float64Array, closed: boolean, cells: Float64Array): Float64Array {
  const count = stations.length;
  const out = new Float64Array(count * 3);
  for (let i = 0; i < count; i++)
    for (let c = 0; c < 3; c++) out[i * 3 + c] = frames[i * FRAME_STRIDE + CURVATURE + c]!;
  for (let i = 0; i < (closed ? count : count - 1); i++) {
    const k = (i + 1) % count;
    if (k > 0 && stations[k] > stations[i]) continue;
    const [a, b] = [i * FRAME_STRIDE + FORWARD, k * FRAME_STRIDE + FORWARD];
    let along = 0;
    for (let c = 0; c < 3; c++) along += frames[a + c] * frames[b + c];
    const angle = Math.acos(Math.min(Math.max(along, -1), 1));
    if (angle <= KINK_ANGLE) continue;
    const over = Math.min(cells[i], cells[k]) || 1;
    const size = angle / over / Math.max(Math.sin(angle), 1e-9);
    for (let c = 0; c < 3; c++) {
      out[i * 3 + c] += (frames[b + c] - along * frames[a + c]) * size;
      out[k * 3 + c] += (along * frames[b + c] - frames[a + c]) * size;
    }
  }
  return out;
}

const squared = (v: Float64Array, at: number): number => v[at] ** 2 + v[at + 1] ** 2 + v[at + 2] ** 2;

/** Slope of the line that fits the angles best, by weight. */
function trend(angles: Float64Array, weights: Float64Array, stations: Float64Array): number {
  let [w, x, y, xx, xy] = [0, 0, 0, 0, 0];
  weights.forEach((weight, i) => {
    const s = stations[i];
    w += weight;
    x += weight * s;
    y += weight * angles[i];
    xx += weight * s * s;
    xy += weight * s * angles[i];
  });
  const spread = w * xx - x * x;
  return spread > 1e-9 * w * xx ? (w * xy - x * y) / spread : 0;
}
