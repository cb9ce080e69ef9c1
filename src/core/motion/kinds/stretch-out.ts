import { z } from 'zod';
import { defineMotion } from '../motion-kind';
import { secondsField, secondsSchema } from '../motion-fields';

/** Drawn out from the start of the reach at a steady pace: everything is as much shorter as the reach still is. */
export const stretchOut = defineMotion({
  kind: 'stretchOut',
  label: 'Stretch out',
  hint: 'The reach goes from nothing to the whole at a steady pace',
  schema: z.strictObject({ kind: z.literal('stretchOut'), seconds: secondsSchema }),
  defaults: { kind: 'stretchOut', seconds: 4 },
  fields: [secondsField],
  passes: 'before',
  seconds: ({ seconds }) => seconds,
  summary: ({ seconds }) => ({ words: 'stretches out in', value: seconds, unit: 's' }),
  poseAt({ seconds }, time) {
    const share = Math.min(Math.max(time / seconds, 0), 1);
    return share > 0 ? { scale: share, shift: 0 } : undefined;
  },
});
