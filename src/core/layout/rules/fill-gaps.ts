import { z } from 'zod';
import { EXACT_FIT } from '../../math/tolerance';
import { defineLayingRule, equalPieces, gapCount, nearestCount } from '../laying-rule';
import { gapField, gapSchema } from '../rule-fields';

/** As many pieces as fit at their natural length, with equal gaps at least as wide as asked for. */
export const fillGaps = defineLayingRule({
  kind: 'fillGaps',
  label: 'Fill, evening the gaps',
  hint: 'Pieces keep their length, gaps share the rest',
  schema: z.strictObject({ kind: z.literal('fillGaps'), gap: gapSchema }),
  defaults: { kind: 'fillGaps', gap: 0 },
  fields: [gapField],
  tells: 'gap',
  lay(input, { gap: asked }) {
    const { reach, natural, round } = input;
    const count = nearestCount(input, asked, (x) => Math.floor(x * (1 + EXACT_FIT)));
    const gaps = gapCount(count, round);
    const gap = gaps > 0 ? (reach - count * natural) / gaps : 0;
    // What fits exactly has the very gap that was asked for: none, and pieces touch.
    const isExact = Math.abs(gap - asked) <= (natural + asked) * EXACT_FIT * 2;
    return equalPieces(count, natural, isExact ? asked : gap);
  },
});
