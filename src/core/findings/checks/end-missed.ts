import { layingRule } from '../../layout/registry';
import { defineCheck } from '../finding';

/** Pieces that stop before the end of the reach, unless they slide along it, or go beyond it. Facts: `remainder` in metres, negative = beyond. */
export const endMissed = defineCheck({
  kind: 'endMissed',
  find({ layout, course, bending, travels }) {
    const { remainder, reach } = layout;
    if (layingRule(course.laying.rule).mayLeaveBare || (travels && remainder > 0)) return [];
    if (Math.abs(remainder) <= (reach.to - reach.from) * 1e-6) return [];
    if (remainder < 0 && bending.pastEnd !== 'straightOn') return [];
    const at = {
      from: Math.min(reach.to - remainder, reach.to),
      to: Math.max(reach.to - remainder, reach.to),
      station: reach.to,
    };
    return [{ check: 'endMissed', at, facts: { remainder }, remedy: { kind: 'setLayingRule', rule: 'fillStretch' } }];
  },
});
