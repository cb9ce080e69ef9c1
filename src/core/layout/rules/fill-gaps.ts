import { z } from 'zod';
import { EXACT_FIT } from '../../math/tolerance';
import { defineLayingRule, evenPieces, gapCount, nearestCount } from '../laying-rule';
import { gapField, gapSchema } from '../rule-fields';

/** As many pieces as fit at their natural length, with equal gaps at least as wide as asked for. */
export const fillGaps = defineLayingRule({
  kind: 'fillGaps',
  label: 'Fill, evening the gaps',
  hint: 'Pieces keep their length, gaps share the rest',
  schema: z.strictObject({ kind: z.literal('fillGaps'), gap: gapSchema }),
  defaults: { kind: 'fillGaps', gap: 0 },
  fields: [gapField],
  group: 'fill',
  tells: 'gap',
  lay(input, { gap: asked }) {
    const { reach, lengths, round } = input;
    const count = nearestCount(input, asked, (x) => Math.floor(x * (1 + EXACT_FIT)));
    const gaps = gapCount(count, round);
    const natural = lengths.sum(count);
    const gap = gaps > 0 ? (reach - natural) / gaps : 0;
    // What fits exactly has the very gap that was asked for: none, and pieces touch.
    const isExact = Math.abs(gap - asked) <= (natural / count + asked) * EXACT_FIT * 2;
    return evenPieces(count, lengths, 1, isExact ? asked : gap);
  },
});
