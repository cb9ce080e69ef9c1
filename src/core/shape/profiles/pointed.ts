import { z } from 'zod';
import { defineProfile } from '../profile';
import { tipFields, tipKeys, tipOptions } from './tip';

export const pointed = defineProfile({
  kind: 'pointed',
  label: 'Pointed',
  hint: 'Evenly thinner up to a tip',
  schema: z.strictObject({ kind: z.literal('pointed'), ...tipOptions }),
  defaults: { kind: 'pointed', end: 'end', over: 0.4, tip: 0.02 },
  fields: tipFields,
  blend: 'straight',
  keys: tipKeys,
});
