import { anyNormal } from '../../math/vec3';
import { carryUp, setUp, turnBetween, turnUp } from '../double-reflection';
import { defineFrameRule } from '../frame-rule';
import { FORWARD } from '../frame-table';

/** Double reflection from the start; what a closed path is left over with is spread evenly along it. */
export const leastTwist = defineFrameRule({
  kind: 'leastTwist',
  label: 'Least twist',
  hint: 'Turns only as much as the path forces it to: rope, hose, cord',
  fillUps(frames, { stations, closed, up }) {
    if (!setUp(frames, 0, up[0], up[1], up[2])) {
      setUp(frames, 0, ...anyNormal([frames[FORWARD], frames[FORWARD + 1], frames[FORWARD + 2]]));
    }
    const last = stations.length - 1;
    for (let i = 0; i < last; i++) carryUp(frames, i, i + 1);
    if (!closed) return { closingTwist: 0, steep: [] };
    const closingTwist = turnBetween(frames, last, 0);
    for (let i = 1; i <= last; i++) turnUp(frames, i, (closingTwist * stations[i]) / stations[last]);
    return { closingTwist, steep: [] };
  },
});
