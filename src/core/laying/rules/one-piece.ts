import { defineLayingRule } from '../laying-rule';

/** One piece, stretched or pressed to the whole reach, or at its own length where it is put. */
export const onePiece = defineLayingRule({
  kind: 'onePiece',
  label: 'One piece',
  hint: 'One segment, over the whole reach or at its own length',
  uses: { gap: false, count: false },
  lay({ reach, natural, oneFit }) {
    if (oneFit === 'reach') return { count: 1, length: reach, gap: 0 };
    const free = Math.max(reach - natural, 0);
    return {
      count: 1,
      length: natural,
      gap: 0,
      before: oneFit === 'start' ? 0 : oneFit === 'middle' ? free / 2 : free,
    };
  },
});
