import { z } from 'zod';
import { metresField } from '../../math/form-field';
import { defineGrowth, secondsField, secondsSchema, type Span } from '../growth';

/**
 * A true cut travels from the origin to the ends; what of it is there stays where it is, but for the tips behind the cut: they are what the finished
 * run has at its ends, and keep their shape as they go.
 */
export const uncover = defineGrowth({
  kind: 'uncover',
  label: 'Uncover',
  hint: 'A cut travels along and uncovers it; the tip keeps its shape',
  schema: z.strictObject({
    kind: z.literal('uncover'),
    seconds: secondsSchema,
    /** Metres at each end that travel along with the cut. */
    tip: z.number().min(0).max(1e6),
  }),
  defaults: { kind: 'uncover', seconds: 4, tip: 0 },
  fields: [secondsField, { ...metresField('tip', 'The tip is so long', 0.1), least: 0 }],
  words: 'is uncovered in',
  passes: ({ tip }) => (tip > 0 ? 'all' : 'own'),
  seconds: ({ seconds }) => seconds,
  poseAt({ tip }, share, { reach: { from, to }, origin }) {
    const [start, end] = [origin - share * (origin - from), origin + share * (to - origin)];
    // A tip is no longer than what has grown on its side.
    const [left, right] = [
      start > from ? Math.min(tip, origin - start) : 0,
      end < to ? Math.min(tip, end - origin) : 0,
    ];
    const spans: readonly Span[] = [
      { from, to: from + left, shift: start - from },
      { from: start + left, to: end - right, shift: 0 },
      { from: to - right, to, shift: end - to },
    ];
    return { spans: spans.filter((span) => span.to > span.from) };
  },
});
