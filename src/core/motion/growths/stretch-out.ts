import { z } from 'zod';
import { defineGrowth, secondsField, secondsSchema } from '../growth';

/** Drawn out from its origin: everything is as much shorter as the reach still is. */
export const stretchOut = defineGrowth({
  kind: 'stretchOut',
  label: 'Stretch out',
  hint: 'Drawn out from nothing to its whole length',
  schema: z.strictObject({
    kind: z.literal('stretchOut'),
    seconds: secondsSchema,
    /** Where its pace goes beyond the whole on the way, it is longer than its reach. */
    beyond: z.boolean().optional(),
  }),
  defaults: { kind: 'stretchOut', seconds: 4 },
  fields: [secondsField, { input: 'switch', key: 'beyond', label: 'May go past its end' }],
  words: 'stretches out in',
  passes: ({ beyond }) => (beyond ? 'all' : 'before'),
  seconds: ({ seconds }) => seconds,
  goesBeyond: ({ beyond }) => beyond === true,
  poseAt: (_, share) => ({ scale: share }),
});
