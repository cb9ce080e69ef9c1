import { z } from 'zod';
import { countField } from '../../math/form-field';
import { seededRow } from '../../math/random';
import { definePattern, MOST_BODIES } from '../pattern';

/** Segments by chance, each as often as its weight says; the same for the same seed. */
export const mixture = definePattern({
  kind: 'mixture',
  label: 'mixed',
  hint: 'By chance, each as often as its weight says',
  schema: z
    .strictObject({
      kind: z.literal('mixture'),
      weights: z.array(z.number().min(0).max(1e6)).min(1).max(MOST_BODIES).readonly(),
      seed: z.number().int().min(0).max(1e6),
    })
    .refine(({ weights }) => weights.some((weight) => weight > 0), {
      path: ['weights'],
      error: 'at least one weight is more than 0',
    }),
  defaults: { kind: 'mixture', weights: [3, 1], seed: 1 },
  fields: [
    { input: 'list', key: 'weights', label: 'Weights of A, B, …', unit: 'count' },
    { ...countField('seed', 'Seed'), least: 0, most: 1e6 },
  ],
  bodyOf({ weights, seed }) {
    const draw = seededRow(seed);
    const whole = weights.reduce((sum, weight) => sum + weight, 0);
    return (piece) => {
      let left = draw(piece) * whole;
      for (const [body, weight] of weights.entries()) {
        if (weight > 0 && left < weight) return body;
        left -= weight;
      }
      return weights.findLastIndex((weight) => weight > 0);
    };
  },
});
