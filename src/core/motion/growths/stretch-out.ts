import { z } from 'zod';
import { defineGrowth, secondsField, secondsSchema } from '../growth';

/** Drawn out from its origin: everything is as much shorter as the reach still is. */
export const stretchOut = defineGrowth({
  kind: 'stretchOut',
  label: 'Stretch out',
  hint: 'Drawn out from nothing to its whole length',
  schema: z.strictObject({ kind: z.literal('stretchOut'), seconds: secondsSchema }),
  defaults: { kind: 'stretchOut', seconds: 4 },
  fields: [secondsField],
  words: 'stretches out in',
  passes: () => 'before',
  seconds: ({ seconds }) => seconds,
  poseAt: (_, share) => ({ scale: share }),
});
