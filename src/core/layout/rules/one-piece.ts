import { z } from 'zod';
import { defineLayingRule, evenPieces } from '../laying-rule';

/** One piece, stretched or pressed to the whole reach, or at its own length where it is put. */
export const onePiece = defineLayingRule({
  kind: 'onePiece',
  label: 'One piece',
  hint: 'One segment, over the whole reach or at its own length',
  schema: z.strictObject({ kind: z.literal('onePiece'), lies: z.enum(['reach', 'start', 'middle', 'end']) }),
  defaults: { kind: 'onePiece', lies: 'reach' },
  fields: [
    {
      input: 'choice',
      key: 'lies',
      label: 'It lies',
      choices: [
        { value: 'reach', label: 'over the whole reach' },
        { value: 'start', label: 'from the start' },
        { value: 'middle', label: 'in the middle' },
        { value: 'end', label: 'at the end' },
      ],
    },
  ],
  group: 'fill',
  tells: 'stretch',
  mayLeaveBare: true,
  lay({ reach, lengths }, { lies }) {
    const natural = lengths.of(0);
    if (lies === 'reach') return evenPieces(1, lengths, reach / natural, 0);
    const free = Math.max(reach - natural, 0);
    return evenPieces(1, lengths, 1, 0, lies === 'start' ? 0 : lies === 'middle' ? free / 2 : free);
  },
});
