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
    which: z.enum(['all', 'between']),
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
      ],
    },
    liesField,
  ],
  tells: 'count',
  mayLeaveBare: true,
  isPlaced: true,
  lay({ points, lengths, reach }, { lies, which }) {
    const isEnd = (place: number) => place <= reach * 1e-9 || place >= reach * (1 - 1e-9);
    return standing(which === 'all' ? points : points.filter((place) => !isEnd(place)), lengths, lies);
  },
});
