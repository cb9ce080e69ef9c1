import { z } from 'zod';
import { countField } from '../../math/form-field';
import { defineLayingRule, evenPieces, gapCount } from '../laying-rule';
import { MAX_PIECES } from '../most-pieces';
import { gapField, gapSchema } from '../rule-fields';

/** A number of pieces: at their own length from the start of the reach on, however far they come, or spread over all of it. */
export const byCount = defineLayingRule({
  kind: 'byCount',
  label: 'By count',
  hint: 'As many as you say',
  schema: z.strictObject({
    kind: z.literal('byCount'),
    count: z.number().int().min(1).max(MAX_PIECES),
    /** What counted pieces do with the reach: keep their length, or fill it by their stretch or by their gaps. */
    over: z.enum(['own', 'stretch', 'gaps']),
    /** Times its own length that a piece is long which keeps that; absent = once. */
    times: z.number().min(0.01).max(100).optional(),
    gap: gapSchema,
  }),
  defaults: { kind: 'byCount', count: 10, over: 'stretch', times: 1, gap: 0 },
  fields: [
    { ...countField('count', 'Pieces'), least: 1, most: MAX_PIECES },
    {
      input: 'choice',
      key: 'over',
      label: 'Over the reach',
      choices: [
        { value: 'stretch', label: 'stretched evenly' },
        { value: 'gaps', label: 'gaps spread evenly' },
        { value: 'own', label: 'at their own length' },
      ],
    },
    {
      input: 'number',
      key: 'times',
      label: 'Times as long',
      unit: 'ratio',
      step: 0.01,
      least: 0.01,
      most: 100,
      appliesTo: ({ over }) => over === 'own',
    },
    { ...gapField, appliesTo: ({ over }) => over !== 'gaps' },
  ],
  group: 'number',
  tells: 'count',
  isCounted: true,
  lay({ reach, lengths, round }, { count, over, gap, times = 1 }) {
    const gaps = gapCount(count, round);
    const natural = lengths.sum(count);
    if (over === 'stretch' && reach > gaps * gap)
      return evenPieces(count, lengths, (reach - gaps * gap) / natural, gap);
    if (over === 'gaps' && gaps > 0) return evenPieces(count, lengths, 1, (reach - natural) / gaps);
    return evenPieces(count, lengths, over === 'own' ? times : 1, gap);
  },
});
