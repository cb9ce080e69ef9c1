import { EXACT_FIT } from '../../math/tolerance';
import { defineCheck } from '../finding';

/** An opening that is wider than the rule was to allow: one more piece would overlap. Facts: `opening` and `wanted`, metres. */
export const openingTooWide = defineCheck({
  kind: 'openingTooWide',
  find({ course, layout, summary }) {
    const { rule } = course.laying;
    if (rule.kind !== 'clearOpening') return [];
    const [first] = layout.placements;
    const share = rule.ends === 'half' ? 2 : 1;
    const ends = rule.ends === 'piece' ? [] : [layout.before * share, layout.remainder * share];
    const opening = Math.max(summary.gap.greatest, ...ends);
    if (opening <= rule.opening * (1 + EXACT_FIT * 4)) return [];
    const at = { from: first.station, to: first.station, station: first.station };
    return [{ check: 'openingTooWide', at, facts: { opening, wanted: rule.opening } }];
  },
});
