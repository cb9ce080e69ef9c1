import { tightest } from '../../shape/tightest';
import { defineCheck } from '../finding';

/**
 * Links that are too long for the tightest bend they go round: two pins of a circle are no farther apart than it is wide (elementary). Facts:
 * `pitch` and `radius`, metres.
 */
export const linkTooLong = defineCheck({
  kind: 'linkTooLong',
  find({ layout, shape }) {
    if (!layout.pinned) return [];
    const { pitch } = layout.pinned;
    const { radius, station } = tightest(shape.table, layout.reach.from, layout.reach.to);
    // A corner has no radius: what its links do there is told as they are laid.
    if (radius === 0 || pitch <= 2 * radius) return [];
    return [{ check: 'linkTooLong', at: { from: station, to: station, station }, facts: { pitch, radius } }];
  },
});
