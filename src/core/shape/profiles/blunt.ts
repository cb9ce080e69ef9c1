import { z } from 'zod';
import {
  atEnd,
  defineProfile,
  endField,
  endSchema,
  factorField,
  factorSchema,
  shareField,
  shareSchema,
} from '../profile';

export const blunt = defineProfile({
  kind: 'blunt',
  label: 'Blunt',
  hint: 'Gently thinner, and cut off',
  schema: z.strictObject({ kind: z.literal('blunt'), end: endSchema, over: shareSchema, tip: factorSchema }),
  defaults: { kind: 'blunt', end: 'end', over: 0.3, tip: 0.5 },
  fields: [endField, shareField('over', 'Over'), factorField('tip', 'Tip')],
  blend: 'smooth',
  keys: ({ end, over, tip }) => atEnd(end, [{ station: 0, value: tip }, { station: over, value: 1 }]), // prettier-ignore
});
