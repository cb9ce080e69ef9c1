import { z } from 'zod';
import { EXACT_FIT } from '../../math/tolerance';
import { defineLayingRule, evenPieces, nearestCount, type Laid } from '../laying-rule';
import { gapField, gapSchema } from '../rule-fields';

/** Pieces of their own length, the last one cut off where the reach ends. */
export const fillTrim = defineLayingRule({
  kind: 'fillTrim',
  label: 'Fill and trim the last',
  hint: 'Pieces keep their length, the last one is cut off at the end',
  schema: z.strictObject({ kind: z.literal('fillTrim'), gap: gapSchema }),
  defaults: { kind: 'fillTrim', gap: 0 },
  fields: [gapField],
  group: 'fill',
  tells: 'count',
  lay(input, { gap }) {
    const { reach } = input;
    const count = nearestCount({ ...input, round: false }, gap, (x) => Math.ceil(x * (1 - EXACT_FIT)));
    return trimmed(evenPieces(count, input.lengths, 1, gap), reach);
  },
});

/** The pieces that begin within the reach, the last one without what lies beyond it. */
export function trimmed(laid: Laid, reach: number): Laid {
  let { count } = laid;
  while (count > 1 && laid.at(count - 1).start >= reach * (1 - EXACT_FIT)) count--;
  return {
    count,
    at(piece) {
      const spot = laid.at(piece);
      const beyond = spot.start + spot.length - reach;
      return beyond > reach * EXACT_FIT ? { ...spot, shown: spot.length - beyond } : spot;
    },
    gapAfter: 0,
  };
}
