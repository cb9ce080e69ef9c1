import { z } from 'zod';
import { defineLayingRule } from '../laying-rule';
import { liesField, liesSchema, standing } from '../rule-fields';

/** A piece at every point of the path. */
export const atPoints = defineLayingRule({
  kind: 'atPoints',
  label: 'At path points',
  hint: 'One at every point of the path',
  schema: z.strictObject({
    kind: z.literal('atPoints'),
    lies: liesSchema,
    /** Points of the path, those between its ends, or the ends of the reach whether there are points or not. */
    which: z.enum(['all', 'between', 'ends']),
  }),
  defaults: { kind: 'atPoints', lies: 'middle', which: 'all' },
  fields: [
    {
      input: 'choice',
      key: 'which',
      label: 'Points',
      choices: [
        { value: 'all', label: 'all of them' },
        { value: 'between', label: 'all but the ends' },
        { value: 'ends', label: 'both ends of the reach' },
      ],
    },
    liesField,
  ],
  group: 'places',
  tells: 'count',
  mayLeaveBare: true,
  isPlaced: true,
  lay({ points, lengths, reach }, { lies, which }) {
    const isEnd = (place: number) => place <= reach * 1e-9 || place >= reach * (1 - 1e-9);
    const between = points.filter((place) => !isEnd(place));
    return standing({ all: points, between, ends: [0, reach] }[which], lengths, lies);
  },
});
