import { z } from 'zod';
import { angleField, below, defineMask, RAGGED, RAGGED_FIELDS, raggedShape } from '../mask';

const angle = z.number().min(0).max(Math.PI);

/** Where the finished run looks up: moss, snow, dust. */
export const slope = defineMask({
  kind: 'slope',
  label: 'where it looks up',
  hint: 'By the slope of the finished run',
  schema: z.strictObject({ kind: z.literal('slope'), within: angle, fade: angle, ...raggedShape }),
  defaults: { kind: 'slope', within: 0.9, fade: 0.6, ...RAGGED },
  fields: [angleField('within', 'Up within'), angleField('fade', 'Fades over'), ...RAGGED_FIELDS],
  amountAt: ({ within, fade }, { normal }) => below(Math.acos(Math.min(1, Math.max(-1, normal[1]))), within, fade),
});
