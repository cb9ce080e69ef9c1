import { nearestTurn } from '../../math/nearest-turn';
import { blendAngles, cellsOf } from '../blend-angles';
import { angleFromUp, turnUp } from '../double-reflection';
import { defineFrameRule } from '../frame-rule';
import { FRAME_STRIDE } from '../frame-table';
import { leastTwist } from './least-twist';

/** Over an edge of the guide the frame turns within about this share of the path. */
const BLEND_SHARE = 0.004;
/** Half a turn takes at least this share of the path. */
const HALF_TURN_SHARE = 0.025;
const LEAST_WEIGHT = 1e-3;

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
    const { surface, stations, closed } = input;
    const least = leastTwist.fillUps(frames, input);
    if (!surface) return least;
    const end = stations.length - 1;
    const length = stations[end]!;
    const angles = new Float64Array(end + 1);
    const weights = cellsOf(stations);
    let last: number | undefined;
    for (let i = 0; i <= end; i++) {
      const at = i * FRAME_STRIDE;
      const normal = surface.nearest([frames[at]!, frames[at + 1]!, frames[at + 2]!])?.normal;
      const along = normal && normal[0] * frames[at + 3]! + normal[1] * frames[at + 4]! + normal[2] * frames[at + 5]!;
      const weight = along === undefined ? 0 : (1 - Math.min(along * along, 1)) ** 2; // one that runs along the path says nothing of up
      weights[i]! *= weight > LEAST_WEIGHT ? weight : 0;
      if (normal && weight > LEAST_WEIGHT) {
        const angle = angleFromUp(frames, i, ...normal);
        last = nearestTurn(angle, last ?? angle);
      }
      angles[i] = last ?? 0;
    }
    const first = weights.findIndex((weight) => weight > 0);
    if (first > 0) angles.fill(angles[first]!, 0, first);
    const total = closed ? nearestTurn(0, angles[end]! - angles[0]!) : 0;
    const rest = angles.map((angle, i) => angle - (total * stations[i]!) / length);
    const turns = blendAngles(
      { angles: rest, weights, stations },
      BLEND_SHARE * length,
      HALF_TURN_SHARE * length,
      closed,
    );
    for (let i = 0; i <= end; i++) turnUp(frames, i, turns[i]! + (total * stations[i]!) / length);
    return { closingTwist: 0, steep: [] };
  },
});
