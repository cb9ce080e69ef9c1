import { blendAngles } from '../blend-angles';
import { angleFromUp, turnUp } from '../double-reflection';
import { defineFrameRule } from '../frame-rule';
import { FRAME_STRIDE, UP } from '../frame-table';
import { leastTwist } from './least-twist';

/** Over an edge of the guide the frame turns within about this share of the path. */
const BLEND_SHARE = 0.004;
const LEAST_WEIGHT = 1e-3;

/**
 * Up from the guide: the normal of its surface where that is nearest, as far as it lies across the path. Angles are taken from least twist
 * frames, unwrapped and blended over edges; without a guide all of it is least twist.
 */
export const sitOnGuide = defineFrameRule({
  kind: 'sitOnGuide',
  label: 'Sit on a guide',
  hint: 'Up looks away from a guide: shoots on a mast, cables on walls',
  fillUps(frames, input) {
    const { surface, intervals, closed } = input;
    const least = leastTwist.fillUps(frames, input);
    if (!surface) return least;
    const angles = new Float64Array(intervals + 1);
    const weights = new Float64Array(intervals + 1);
    let last: number | undefined;
    for (let i = 0; i <= intervals; i++) {
      const at = i * FRAME_STRIDE;
      const normal = surface.nearest([frames[at]!, frames[at + 1]!, frames[at + 2]!])?.normal;
      if (normal) {
        const along = normal[0] * frames[at + 3]! + normal[1] * frames[at + 4]! + normal[2] * frames[at + 5]!;
        const weight = (1 - Math.min(along * along, 1)) ** 2; // a normal that runs along the path says nothing of up
        if (weight > LEAST_WEIGHT) {
          weights[i] = weight;
          const angle = angleFromUp(frames, i, ...normal);
          last = unwrapped(angle, last ?? angle);
        }
      }
      angles[i] = last ?? 0;
    }
    const first = weights.findIndex((weight) => weight > 0);
    if (first > 0) angles.fill(angles[first]!, 0, first);
    const total = closed ? 2 * Math.PI * Math.round((angles[intervals]! - angles[0]!) / (2 * Math.PI)) : 0;
    const rest = angles.map((angle, i) => angle - (total * i) / intervals);
    const turns = blendAngles(rest, weights, (BLEND_SHARE * intervals) ** 2, closed);
    for (let i = 0; i <= intervals; i++) turnUp(frames, i, turns[i]! + (total * i) / intervals);
    if (closed) frames.copyWithin(intervals * FRAME_STRIDE + UP, UP, UP + 3);
    return { closingTwist: 0, steep: [] };
  },
});

const unwrapped = (angle: number, last: number): number =>
  angle + 2 * Math.PI * Math.round((last - angle) / (2 * Math.PI));
