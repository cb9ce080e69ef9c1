import { z } from 'zod';
import { defineLayingRule, evenPieces, type Laid } from '../laying-rule';
import { MAX_PIECES } from '../most-pieces';
import { gapField, gapSchema } from '../rule-fields';

/**
 * Pieces of their own length from one end of the reach to the other, whose spacing grows from the ends to the middle as half a sine wave does;
 * at the ends it is a share of that in the middle. The number is that whose spacing in the middle comes nearest to the one asked for.
 */
export const closerAtTheEnds = defineLayingRule({
  kind: 'closerAtTheEnds',
  label: 'Closer at the ends',
  hint: 'Pieces keep their length, and stand closer where the run begins and ends',
  schema: z.strictObject({
    kind: z.literal('closerAtTheEnds'),
    gap: gapSchema,
    /** Spacing at the ends over that in the middle. */
    ends: z.number().min(0.05).max(1),
  }),
  defaults: { kind: 'closerAtTheEnds', gap: 0.5, ends: 0.5 },
  fields: [
    { ...gapField, label: 'Gap in the middle' },
    { input: 'number', key: 'ends', label: 'Spacing at the ends', unit: 'share', step: 0.05, least: 0.05, most: 1 },
  ],
  group: 'number',
  tells: 'gap',
  lay({ reach, lengths, round }, { gap, ends }): Laid {
    const natural = lengths.sum(MEAN_OF) / MEAN_OF;
    const room = round ? reach : reach - natural;
    const spacing = (i: number, spacings: number) =>
      ends + (1 - ends) * (spacings > 1 ? Math.sin((Math.PI * i) / (spacings - 1)) : 1);
    /** Metres per unit of spacing: so many of them fill the room. The sum of the sines is a cotangent. */
    const scaleOf = (spacings: number) =>
      room / (spacings > 1 ? ends * spacings + (1 - ends) / Math.tan(Math.PI / (2 * (spacings - 1))) : 1);
    const asked = Math.max(natural + gap, natural * 1e-3) * (ends + (1 - ends) * (2 / Math.PI));
    // No closer than pieces are long, unless they were asked to overlap.
    const least = natural + Math.min(gap, 0);
    let spacings = Math.max(1, Math.round(room / asked));
    const closest = spacing(0, spacings) * scaleOf(spacings);
    if (closest < least) spacings = Math.ceil((spacings * closest) / least) + 1;
    while (spacings > 0 && spacing(0, spacings) * scaleOf(spacings) < least * (1 - 1e-9)) spacings--;
    if (!(room > 0) || spacings < 1) return evenPieces(1, lengths, 1, 0);
    if (spacings >= MAX_PIECES) return evenPieces(spacings + 1, lengths, 1, gap); // more than there may be
    const scale = scaleOf(spacings);
    const starts = new Float64Array(spacings + 1);
    for (let i = 0; i < spacings; i++) starts[i + 1] = starts[i] + spacing(i, spacings) * scale;
    return {
      count: spacings + (round ? 0 : 1),
      at: (piece) => ({ start: starts[piece], length: lengths.of(piece) }),
      gapAfter: spacing(round ? spacings - 1 : 0, spacings) * scale - natural,
    };
  },
});

/** Pieces of a mixture from which the spacing is worked out. */
const MEAN_OF = 64;
