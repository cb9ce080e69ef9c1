import { z } from 'zod';
import { countField } from '../../math/form-field';
import { defineEasing } from '../easing';

/** In so many jumps (CSS Easing Functions Level 1, 2.3). */
export const steps = defineEasing({
  kind: 'steps',
  label: 'In steps',
  hint: 'In so many jumps',
  schema: z.strictObject({
    kind: z.literal('steps'),
    count: z.number().int().min(1).max(10_000),
    jump: z.enum(['end', 'start', 'none', 'both']),
  }),
  defaults: { kind: 'steps', count: 4, jump: 'end' },
  fields: [
    { ...countField('count', 'Steps'), least: 1, most: 10_000 },
    {
      input: 'choice',
      key: 'jump',
      label: 'It jumps',
      choices: [
        { value: 'end', label: 'at the end of each' },
        { value: 'start', label: 'at the start of each' },
        { value: 'none', label: 'in between only' },
        { value: 'both', label: 'at both ends too' },
      ],
    },
  ],
  at({ count, jump }, share) {
    const jumps = count + (jump === 'both' ? 1 : jump === 'none' && count > 1 ? -1 : 0);
    const done = Math.floor(share * count) + (jump === 'start' || jump === 'both' ? 1 : 0);
    return Math.min(Math.max(done, 0), jumps) / jumps;
  },
});
