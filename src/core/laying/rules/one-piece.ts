import { defineLayingRule } from '../laying-rule';

/** One piece, stretched or pressed to the whole reach. */
export const onePiece = defineLayingRule({
  kind: 'onePiece',
  label: 'One piece',
  hint: 'One segment over the whole reach',
  uses: { gap: false, count: false },
  lay: ({ reach }) => ({ count: 1, length: reach, gap: 0 }),
});
