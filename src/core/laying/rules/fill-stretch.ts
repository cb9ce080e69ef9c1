import { defineLayingRule, gapCount, nearestCount } from '../laying-rule';

/** The nearest whole number of pieces, every one longer or shorter by the same factor, so that they fill the reach. */
export const fillStretch = defineLayingRule({
  kind: 'fillStretch',
  label: 'Fill, evening the stretch',
  hint: 'Every piece a little longer or shorter',
  uses: { gap: true, count: false },
  lay(input) {
    const { reach, gap, round } = input;
    const most = gap > 0 ? Math.max(1, Math.ceil((reach + (round ? 0 : gap)) / gap) - 1) : Infinity;
    const count = Math.min(nearestCount(input, Math.round), most);
    const gaps = gapCount(count, round);
    // A gap wider than the reach itself leaves no room for a piece: it gives way.
    const used = gaps * gap < reach ? gap : 0;
    return { count, length: (reach - gaps * used) / count, gap: used };
  },
});
