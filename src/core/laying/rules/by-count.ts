import { defineLayingRule, gapCount } from '../laying-rule';

/** A number of pieces: at their own length from the start of the reach on, however far they come, or spread over all of it. */
export const byCount = defineLayingRule({
  kind: 'byCount',
  label: 'By count',
  hint: 'As many as you say',
  uses: { gap: true, count: true },
  lay({ reach, natural, gap, count, countFit, round }) {
    const gaps = gapCount(count, round);
    if (countFit === 'stretch' && reach > gaps * gap) return { count, length: (reach - gaps * gap) / count, gap };
    if (countFit === 'gaps' && gaps > 0) return { count, length: natural, gap: (reach - count * natural) / gaps };
    return { count, length: natural, gap };
  },
});
