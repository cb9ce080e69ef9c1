import { z } from 'zod';
import { defineMotion } from '../motion-kind';

/** The whole run, all the time. */
export const none = defineMotion({
  kind: 'none',
  label: 'Still',
  hint: 'The whole run from the start',
  schema: z.strictObject({ kind: z.literal('none') }),
  defaults: { kind: 'none' },
  fields: [],
  passes: 'own',
  seconds: () => 0,
  summary: () => ({ words: 'none' }),
  poseAt: () => ({ scale: 1, shift: 0 }),
});
