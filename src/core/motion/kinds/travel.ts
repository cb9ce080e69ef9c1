import { z } from 'zod';
import { defineMotion } from '../motion-kind';
import { secondsField, secondsSchema } from '../motion-fields';

/** Slides along at a steady speed: round and round on a closed path, in at the start and out at the end of an open one. */
export const travel = defineMotion({
  kind: 'travel',
  label: 'Travel',
  hint: 'Slides along its path at a steady speed',
  schema: z.strictObject({
    kind: z.literal('travel'),
    /** Metres per second; negative = towards the start. */
    speed: z.number().min(-1e4).max(1e4),
    seconds: secondsSchema,
  }),
  defaults: { kind: 'travel', speed: 1, seconds: 4 },
  fields: [
    { input: 'number', key: 'speed', label: 'Speed', unit: 'm/s', step: 0.1, least: -1e4, most: 1e4 },
    { ...secondsField, label: 'Plays for' },
  ],
  passes: 'all',
  seconds: ({ seconds }) => seconds,
  summary: ({ speed }) => ({ words: 'travels at', value: speed, unit: 'm/s' }),
  poseAt: ({ speed }, time, { reach, round }) => ({
    scale: 1,
    shift: speed * time,
    ...(!round && { window: reach }),
  }),
});
