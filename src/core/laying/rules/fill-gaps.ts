import { EXACT_FIT } from '../../math/tolerance';
import { defineLayingRule, gapCount, nearestCount } from '../laying-rule';

/** As many pieces as fit at their natural length, with equal gaps at least as wide as asked for. */
export const fillGaps = defineLayingRule({
  kind: 'fillGaps',
  label: 'Fill, evening the gaps',
  hint: 'Pieces keep their length, gaps share the rest',
  uses: { gap: true, count: false },
  lay(input) {
    const { reach, natural, round } = input;
    const count = nearestCount(input, (x) => Math.floor(x * (1 + EXACT_FIT)));
    const gaps = gapCount(count, round);
    const gap = gaps > 0 ? (reach - count * natural) / gaps : 0;
    // What fits exactly has the very gap that was asked for: none, and pieces touch.
    const isExact = Math.abs(gap - input.gap) <= (natural + input.gap) * EXACT_FIT * 2;
    return { count, length: natural, gap: isExact ? input.gap : gap };
  },
});
