import { defineLayingRule } from '../laying-rule';

/** A number of pieces at their natural length from the start of the reach, however far they come. */
export const byCount = defineLayingRule({
  kind: 'byCount',
  label: 'By count',
  hint: 'As many as you say, at their own length',
  uses: { gap: true, count: true },
  lay: ({ natural, gap, count }) => ({ count, length: natural, gap }),
});
