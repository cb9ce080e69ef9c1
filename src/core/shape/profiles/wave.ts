import { z } from 'zod';
import { defineProfile, shareField } from '../profile';

export const wave = defineProfile({
  kind: 'wave',
  label: 'Wave',
  hint: 'Thicker and thinner in turn',
  schema: z.strictObject({
    kind: z.literal('wave'),
    waves: z.number().int().min(1).max(500),
    by: z.number().min(0.001).max(0.95),
  }),
  defaults: { kind: 'wave', waves: 5, by: 0.2 },
  fields: [
    { input: 'number', key: 'waves', label: 'Waves', unit: 'count', step: 1, least: 1, most: 500 },
    shareField('by', 'By'),
  ],
  blend: 'smooth',
  keys: ({ waves, by }) =>
    Array.from({ length: 2 * waves + 1 }, (_, i) => ({
      station: i / (2 * waves),
      value: i % 2 === 0 ? 1 - by : 1 + by,
    })),
});
