import { defineFrameRule } from '../frame-rule';
import { turnTowards } from '../turn-towards';
import { leastTwist } from './least-twist';

/** Over an edge of the guide the frame turns within about this share of the path. */
const BLEND_SHARE = 0.004;
/** Half a turn takes at least this share of the path. */
const HALF_TURN_SHARE = 0.025;

/**
 * Up from the guide: the normal of its surface where that is nearest, as far as it lies across the path. Angles are taken from least twist
 * frames, unwrapped and blended over edges; without a guide all of it is least twist.
 */
export const sitOnGuide = defineFrameRule({
  kind: 'sitOnGuide',
  label: 'Sit on a guide',
  hint: 'Up looks away from a guide: shoots on a mast, cables on walls',
  leastSamples: 512,
  fillUps(frames, input) {
    const { surface } = input;
    const least = leastTwist.fillUps(frames, input);
    if (!surface) return least;
    const wanted = (at: number) => surface.nearest([frames[at], frames[at + 1], frames[at + 2]])?.normal;
    turnTowards(frames, input, { wanted, blendShare: BLEND_SHARE, halfTurnShare: HALF_TURN_SHARE });
    return { closingTwist: 0, steep: [] };
  },
});
