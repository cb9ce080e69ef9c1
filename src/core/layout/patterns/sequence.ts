import { z } from 'zod';
import { definePattern, letterOf, MOST_BODIES } from '../pattern';

const LETTERS = Array.from({ length: MOST_BODIES }, (_, body) => letterOf(body)).join('');
const WRITTEN = new RegExp(`^\\s*[${LETTERS}](\\s*[${LETTERS}])*\\s*$`);

/** Segments in an order that repeats: A A B. */
export const sequence = definePattern({
  kind: 'sequence',
  label: 'in an order',
  hint: 'An order of segments that repeats, such as A A B',
  schema: z.strictObject({
    kind: z.literal('sequence'),
    order: z
      .string()
      .max(200)
      .regex(WRITTEN, `letters from A to ${LETTERS.at(-1)}, such as A A B`),
  }),
  defaults: { kind: 'sequence', order: 'A A B' },
  fields: [{ input: 'text', key: 'order', label: 'Order' }],
  bodyOf({ order }) {
    const bodies = order
      .replaceAll(/\s/g, '')
      .split('')
      .map((letter) => LETTERS.indexOf(letter));
    return (piece) => bodies[piece % bodies.length];
  },
});
