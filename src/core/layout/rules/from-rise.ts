import { z } from 'zod';
import { metresField } from '../../math/form-field';
import { EXACT_FIT } from '../../math/tolerance';
import { defineLayingRule } from '../laying-rule';
import { gapField, gapSchema } from '../rule-fields';

/**
 * As few steps as are no higher than asked for, all of them equally high: a path from floor to floor has n = ceil(rise / highest) risers of
 * rise / n each, and every piece goes on until the path has gained one more of them (common practice in stair building, no source).
 */
export const fromRise = defineLayingRule({
  kind: 'fromRise',
  label: 'From the rise',
  hint: 'So many equal risers as are no higher than you say',
  schema: z.strictObject({
    kind: z.literal('fromRise'),
    /** Metres. */
    highest: z.number().min(1e-3).max(100),
    /** Whether the last riser ends on a piece or on the floor itself. */
    top: z.enum(['piece', 'floor']),
    gap: gapSchema,
  }),
  defaults: { kind: 'fromRise', highest: 0.18, top: 'piece', gap: 0 },
  fields: [
    { ...metresField('highest', 'Highest riser', 0.005), least: 1e-3, most: 100 },
    {
      input: 'choice',
      key: 'top',
      label: 'The top is',
      choices: [
        { value: 'piece', label: 'a piece of its own' },
        { value: 'floor', label: 'the floor' },
      ],
    },
    gapField,
  ],
  group: 'number',
  tells: 'count',
  mayLeaveBare: true,
  lay({ rise, atRise, reach }, { highest, top, gap }) {
    const isLevel = Math.abs(rise) <= reach * 1e-9;
    const risers = risersOf(rise, highest);
    const count = Math.max(1, top === 'floor' ? risers - 1 : risers);
    return {
      count,
      at(piece) {
        const start = piece === 0 ? 0 : atRise((rise * piece) / risers);
        return { start, length: atRise((rise * (piece + 1)) / risers) - start - gap };
      },
      gapAfter: gap,
      ...(isLevel && { refused: { code: 'laying.no-rise', path: [], facts: { rise } } }),
    };
  },
});

/** Equal risers that are no higher than `highest` metres. */
export const risersOf = (rise: number, highest: number): number =>
  Math.max(1, Math.ceil((Math.abs(rise) / highest) * (1 - EXACT_FIT)));
