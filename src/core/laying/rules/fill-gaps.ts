import { defineLayingRule, gapCount, nearestCount } from '../laying-rule';

/** As many pieces as fit at their natural length, with equal gaps at least as wide as asked for. */
export const fillGaps = defineLayingRule({
  kind: 'fillGaps',
  label: 'Fill, evening the gaps',
  hint: 'Pieces keep their length, gaps share the rest',
  uses: { gap: true, count: false },
  lay(input) {
    const { reach, natural, round } = input;
    const count = nearestCount(input, (x) => Math.floor(x + 1e-9));
    const gaps = gapCount(count, round);
    return { count, length: natural, gap: gaps > 0 ? (reach - count * natural) / gaps : 0 };
  },
});
