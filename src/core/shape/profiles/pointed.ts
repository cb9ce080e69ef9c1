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

export const pointed = defineProfile({
  kind: 'pointed',
  label: 'Pointed',
  hint: 'Evenly thinner up to a tip',
  schema: z.strictObject({ kind: z.literal('pointed'), end: endSchema, over: shareSchema, tip: factorSchema }),
  defaults: { kind: 'pointed', end: 'end', over: 0.4, tip: 0.02 },
  fields: [endField, shareField('over', 'Over'), factorField('tip', 'Tip')],
  blend: 'straight',
  keys: ({ end, over, tip }) => atEnd(end, [{ station: 0, value: tip }, { station: over, value: 1 }]), // prettier-ignore
});
