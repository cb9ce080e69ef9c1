import { z } from 'zod';
import { defineProfile } from '../profile';
import { tipFields, tipKeys, tipOptions } from './tip';

export const blunt = defineProfile({
  kind: 'blunt',
  label: 'Blunt',
  hint: 'Gently thinner, and cut off',
  schema: z.strictObject({ kind: z.literal('blunt'), ...tipOptions }),
  defaults: { kind: 'blunt', end: 'end', over: 0.3, tip: 0.5 },
  fields: tipFields,
  blend: 'smooth',
  keys: tipKeys,
});
