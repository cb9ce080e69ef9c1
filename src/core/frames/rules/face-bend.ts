import { anyNormal } from '../../math/vec3';
import { blendAngles } from '../blend-angles';
import { angleFromUp, carryUp, setUp, turnUp } from '../double-reflection';
import { defineFrameRule } from '../frame-rule';
import { CURVATURE, FORWARD, FRAME_STRIDE, UP } from '../frame-table';

/** The frame turns over from one bend to an opposite one within about this share of the path. */
const BLEND_SHARE = 0.02;
/** Below this share of the tightest bend's curvature, squared, a place has no say in which way it faces. */
const LEAST_WEIGHT = 1e-4;

/**
 * Up towards the inside of the bend: the principal normal, where there is one. Angles are taken from least twist frames, unwrapped, and
 * blended where the bend is weak or changes sides: least squares of how far they are off, weighted by curvature squared, and of how fast
 * the frame turns. A helix has the normal itself.
 */
export const faceBend = defineFrameRule({
  kind: 'faceBend',
  label: 'Face the bend',
  hint: 'Up looks to the inside of every bend: belts, tracks, banked ways',
  fillUps(frames, { intervals, closed, up }) {
    const forward = [frames[FORWARD]!, frames[FORWARD + 1]!, frames[FORWARD + 2]!] as const;
    if (!setUp(frames, 0, ...up)) setUp(frames, 0, ...anyNormal(forward));
    for (let i = 0; i < intervals; i++) carryUp(frames, i, i + 1);
    const { angles, weights } = facing(frames, intervals);
    const total = closed ? closingTurn(frames, intervals, angles[intervals]! - angles[0]!) : undefined;
    const slope = total !== undefined ? total / intervals : trend(angles, weights);
    const rest = angles.map((angle, i) => angle - slope * i);
    const turns = blendAngles(rest, weights, (BLEND_SHARE * intervals) ** 2, closed);
    for (let i = 0; i <= intervals; i++) turnUp(frames, i, turns[i]! + slope * i);
    if (closed) frames.copyWithin(intervals * FRAME_STRIDE + UP, UP, UP + 3);
    return { closingTwist: 0, steep: [] };
  },
});

/** What the carried frame must turn by once round to meet itself, and as many whole turns as come nearest to `about`. */
function closingTurn(frames: Float64Array, intervals: number, about: number): number {
  const short = angleFromUp(frames, intervals, frames[UP]!, frames[UP + 1]!, frames[UP + 2]!);
  return short + 2 * Math.PI * Math.round((about - short) / (2 * Math.PI));
}

/** From the carried up to the inside of the bend, unwrapped; where there is no bend, as before. Weights 0 to 1. */
function facing(frames: Float64Array, intervals: number) {
  const angles = new Float64Array(intervals + 1);
  const weights = new Float64Array(intervals + 1);
  let most = 0;
  for (let i = 0, at = CURVATURE; i <= intervals; i++, at += FRAME_STRIDE) {
    const x = frames[at]!;
    const y = frames[at + 1]!;
    const z = frames[at + 2]!;
    weights[i] = x * x + y * y + z * z;
    most = Math.max(most, weights[i]!);
  }
  let last: number | undefined;
  for (let i = 0; i <= intervals; i++) {
    weights[i] = most > 0 ? weights[i]! / most : 0;
    if (weights[i]! < LEAST_WEIGHT) weights[i] = 0;
    else {
      const at = i * FRAME_STRIDE + CURVATURE;
      const angle = angleFromUp(frames, i, frames[at]!, frames[at + 1]!, frames[at + 2]!);
      last = last === undefined ? angle : angle + 2 * Math.PI * Math.round((last - angle) / (2 * Math.PI));
    }
    angles[i] = last ?? 0;
  }
  const first = weights.findIndex((weight) => weight > 0);
  if (first > 0) angles.fill(angles[first]!, 0, first);
  return { angles, weights };
}

/** Slope of the line that fits the angles best, by weight. */
function trend(angles: Float64Array, weights: Float64Array): number {
  let [w, x, y, xx, xy] = [0, 0, 0, 0, 0];
  weights.forEach((weight, i) => {
    w += weight;
    x += weight * i;
    y += weight * angles[i]!;
    xx += weight * i * i;
    xy += weight * i * angles[i]!;
  });
  const spread = w * xx - x * x;
  return spread > 1e-9 * w * xx ? (w * xy - x * y) / spread : 0;
}
