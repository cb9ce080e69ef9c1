import { z } from 'zod';
import { definePattern } from '../pattern';

/** All pieces are of the first segment. */
export const same = definePattern({
  kind: 'same',
  label: 'all the same',
  hint: 'One segment for all pieces',
  schema: z.strictObject({ kind: z.literal('same') }),
  defaults: { kind: 'same' },
  fields: [],
  bodyOf: () => () => 0,
});
