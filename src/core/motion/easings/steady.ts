import { z } from 'zod';
import { defineEasing } from '../easing';

export const steady = defineEasing({
  kind: 'steady',
  label: 'Steady',
  hint: 'At one pace',
  schema: z.strictObject({ kind: z.literal('steady') }),
  defaults: { kind: 'steady' },
  fields: [],
  at: (_, share) => share,
});
