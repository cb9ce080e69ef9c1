import { anyNormal } from '../../math/vec3';
import { angleFromUp, carryUp, setUp, turnUp } from '../double-reflection';
import { defineFrameRule } from '../frame-rule';
import { FORWARD, FRAME_STRIDE, UP } from '../frame-table';

/** Double reflection from the start; what a closed path is left over with is spread evenly along it. */
export const leastTwist = defineFrameRule({
  kind: 'leastTwist',
  label: 'Least twist',
  hint: 'Turns only as much as the path forces it to: rope, hose, cord',
  fillUps(frames, { intervals, closed, up }) {
    if (!setUp(frames, 0, up[0], up[1], up[2])) {
      setUp(frames, 0, ...anyNormal([frames[FORWARD]!, frames[FORWARD + 1]!, frames[FORWARD + 2]!]));
    }
    const [x, y, z] = [frames[UP]!, frames[UP + 1]!, frames[UP + 2]!];
    for (let i = 0; i < intervals; i++) carryUp(frames, i, i + 1);
    if (!closed) return { closingTwist: 0, steep: [] };
    const closingTwist = angleFromUp(frames, intervals, x, y, z);
    for (let i = 1; i < intervals; i++) turnUp(frames, i, (closingTwist * i) / intervals);
    frames.copyWithin(intervals * FRAME_STRIDE + UP, UP, UP + 3);
    return { closingTwist, steep: [] };
  },
});
