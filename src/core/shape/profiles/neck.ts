import { z } from 'zod';
import { defineProfile } from '../profile';
import { bulgeFields, bulgeKeys, bulgeOptions } from './bulge';

export const neck = defineProfile({
  kind: 'neck',
  label: 'Neck',
  hint: 'Thinner at one place',
  schema: z.strictObject({ kind: z.literal('neck'), ...bulgeOptions }),
  defaults: { kind: 'neck', at: 0.5, over: 0.3, by: 0.6 },
  fields: bulgeFields,
  blend: 'smooth',
  keys: bulgeKeys,
});
