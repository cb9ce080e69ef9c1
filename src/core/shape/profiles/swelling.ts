import { z } from 'zod';
import { defineProfile } from '../profile';
import { bulgeFields, bulgeKeys, bulgeOptions } from './bulge';

export const swelling = defineProfile({
  kind: 'swelling',
  label: 'Swelling',
  hint: 'Thicker at one place',
  schema: z.strictObject({ kind: z.literal('swelling'), ...bulgeOptions }),
  defaults: { kind: 'swelling', at: 0.5, over: 0.3, by: 1.5 },
  fields: bulgeFields,
  blend: 'smooth',
  keys: bulgeKeys,
});
