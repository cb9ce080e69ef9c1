import { z } from 'zod';
import { defineEasing } from '../easing';

export const hold = defineEasing({
  kind: 'hold',
  label: 'Hold',
  hint: 'Stays, and is there at the end',
  schema: z.strictObject({ kind: z.literal('hold') }),
  defaults: { kind: 'hold' },
  fields: [],
  at: (_, share) => (share < 1 ? 0 : 1),
});
