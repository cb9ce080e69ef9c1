import { z } from 'zod';
import { atEnd, defineProfile, endField, endSchema, shareField, shareSchema } from '../profile';

const KEYS = 12;
/** Of its thickness: what is left at the very tip. */
const LEAST = 0.02;

/** The quarter of an ellipse. */
export const rounded = defineProfile({
  kind: 'rounded',
  label: 'Rounded',
  hint: 'Round like the end of a finger',
  schema: z.strictObject({ kind: z.literal('rounded'), end: endSchema, over: shareSchema }),
  defaults: { kind: 'rounded', end: 'end', over: 0.1 },
  fields: [endField, shareField('over', 'Over')],
  blend: 'straight',
  keys({ end, over }) {
    const turns = Array.from({ length: KEYS + 1 }, (_, i) => (i * Math.PI) / 2 / KEYS);
    return atEnd(end, turns.map((turn) => ({ station: over * (1 - Math.cos(turn)), value: Math.max(Math.sin(turn), LEAST) }))); // prettier-ignore
  },
});
