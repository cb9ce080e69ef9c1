import { z } from 'zod';
import { metresField } from '../../math/form-field';
import { EXACT_FIT } from '../../math/tolerance';
import { defineLayingRule, evenPieces } from '../laying-rule';

/** Pieces at equal intervals, as few as leave no clear opening wider than asked for. */
export const clearOpening = defineLayingRule({
  kind: 'clearOpening',
  label: 'No opening wider than',
  hint: 'As few as keep every opening within a width, all of them equal',
  schema: z.strictObject({
    kind: z.literal('clearOpening'),
    /** Metres. */
    opening: z.number().min(1e-3).max(1e4),
    /** What lies at either end: an opening, half of one, or a piece. */
    ends: z.enum(['whole', 'half', 'piece']),
  }),
  defaults: { kind: 'clearOpening', opening: 0.1, ends: 'whole' },
  fields: [
    { ...metresField('opening', 'Widest opening', 0.01), least: 1e-3, most: 1e4 },
    {
      input: 'choice',
      key: 'ends',
      label: 'At either end',
      choices: [
        { value: 'whole', label: 'an opening' },
        { value: 'half', label: 'half an opening' },
        { value: 'piece', label: 'a piece' },
      ],
    },
  ],
  group: 'number',
  tells: 'gap',
  mayLeaveBare: true,
  lay({ reach, lengths, round }, { opening, ends }) {
    /** Openings beside those between pieces. */
    const more = round || ends === 'half' ? 0 : ends === 'whole' ? 1 : -1;
    const gapOf = (count: number) => (reach - lengths.sum(count)) / (count + more);
    const enough = opening * (1 + EXACT_FIT);
    const least = more < 0 ? 2 : 1;
    // A first guess from the mean piece, then as few as are enough.
    const pitch = lengths.sum(64) / 64 + opening;
    let count = Math.max(least, Math.floor((reach - more * opening) / pitch) - 1);
    while (count > least && gapOf(count - 1) <= enough) count--;
    while (count < MOST && gapOf(count) > enough) count++;
    // Where one more would overlap, the openings stay wider than asked for.
    if (count > 1 && gapOf(count) < 0) count--;
    const gap = count + more > 0 ? gapOf(count) : 0;
    const before = round || ends === 'piece' ? 0 : ends === 'half' ? gap / 2 : gap;
    return evenPieces(count, lengths, 1, gap, before);
  },
});

const MOST = 1_000_000;
