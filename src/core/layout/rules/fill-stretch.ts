import { z } from 'zod';
import { defineLayingRule, evenPieces, gapCount, nearestCount } from '../laying-rule';
import { gapField, gapSchema } from '../rule-fields';

/** The nearest whole number of pieces, every one longer or shorter by the same factor, so that they fill the reach. */
export const fillStretch = defineLayingRule({
  kind: 'fillStretch',
  label: 'Fill, evening the stretch',
  hint: 'Every piece a little longer or shorter',
  schema: z.strictObject({ kind: z.literal('fillStretch'), gap: gapSchema }),
  defaults: { kind: 'fillStretch', gap: 0 },
  fields: [gapField],
  group: 'fill',
  tells: 'stretch',
  lay(input, { gap }) {
    const { reach, lengths, round } = input;
    const most = gap > 0 ? Math.max(1, Math.ceil((reach + (round ? 0 : gap)) / gap) - 1) : Infinity;
    const count = Math.min(nearestCount(input, gap, Math.round), most);
    const gaps = gapCount(count, round);
    // A gap wider than the reach itself leaves no room for a piece: it gives way.
    const used = gaps * gap < reach ? gap : 0;
    return evenPieces(count, lengths, (reach - gaps * used) / lengths.sum(count), used);
  },
});
