import { z } from 'zod';
import { defineGrowth } from '../growth';

/** The whole run, all the time. */
export const none = defineGrowth({
  kind: 'none',
  label: 'Is there at once',
  hint: 'The whole run from the start',
  schema: z.strictObject({ kind: z.literal('none') }),
  defaults: { kind: 'none' },
  fields: [],
  words: 'still',
  passes: () => 'own',
  seconds: () => 0,
  poseAt: () => ({}),
});
