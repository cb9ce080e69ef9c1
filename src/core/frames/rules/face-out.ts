import { cross, length, scale, type Vec3 } from '../../math/vec3';
import { defineFrameRule } from '../frame-rule';
import { FORWARD, FRAME_STRIDE } from '../frame-table';
import { turnTowards } from '../turn-towards';
import { leastTwist } from './least-twist';

const BLEND_SHARE = 0.004;
const HALF_TURN_SHARE = 0.025;
/** A path that goes round less than this share of its length, squared, is no loop. */
const LEAST_AREA = 1e-6;

/**
 * Up away from the middle of a loop, in its plane: square to forward and to the plane's normal, which is that of the area the path goes round
 * (the vector area, half the sum of the products of neighbouring places). A wheel that presses from outside bends the belt the other way
 * and turns nothing over. What goes round nothing has least twist.
 */
export const faceOut = defineFrameRule({
  kind: 'faceOut',
  label: 'Outside out',
  hint: 'Up looks away from the middle of a loop: belts, tracks, tyres',
  fillUps(frames, input) {
    const least = leastTwist.fillUps(frames, input);
    const { stations } = input;
    const last = stations.length - 1;
    const place = (i: number): Vec3 => {
      const at = i * FRAME_STRIDE;
      return [frames[at] - frames[0], frames[at + 1] - frames[1], frames[at + 2] - frames[2]];
    };
    const area: [number, number, number] = [0, 0, 0];
    for (let i = 0; i < last; i++) cross(place(i), place(i + 1)).forEach((v, c) => (area[c] += v / 2));
    const size = length(area);
    if (!(size > LEAST_AREA * stations[last] ** 2)) return least;
    const normal = scale(area, 1 / size);
    const wanted = (at: number) =>
      cross([frames[at + FORWARD], frames[at + FORWARD + 1], frames[at + FORWARD + 2]], normal);
    turnTowards(frames, input, { wanted, blendShare: BLEND_SHARE, halfTurnShare: HALF_TURN_SHARE });
    return { closingTwist: 0, steep: [] };
  },
});
