import { z } from 'zod';
import { dot, type Vec3 } from '../../math/vec3';
import { angleField, below, defineMask, RAGGED, RAGGED_FIELDS, raggedShape } from '../mask';

const angle = z.number().min(0).max(Math.PI);
const SIDES = { top: [0, 1, 0], bottom: [0, -1, 0], left: [0, 0, -1], right: [0, 0, 1] } as const satisfies Record<string, Vec3>; // prettier-ignore

/** On one side of the run, however that turns: worn soles, a weathered side. */
export const side = defineMask({
  kind: 'side',
  label: 'on one side',
  hint: 'By the side of the run, however it turns',
  schema: z.strictObject({
    kind: z.literal('side'),
    side: z.enum(['top', 'bottom', 'left', 'right']),
    within: angle,
    fade: angle,
    ...raggedShape,
  }),
  defaults: { kind: 'side', side: 'top', within: 1, fade: 0.6, ...RAGGED },
  fields: [
    {
      input: 'choice',
      key: 'side',
      label: 'Side',
      choices: [
        { value: 'top', label: 'above' },
        { value: 'bottom', label: 'below' },
        { value: 'left', label: 'left' },
        { value: 'right', label: 'right' },
      ],
    },
    angleField('within', 'Turned within'),
    angleField('fade', 'Fades over'),
    ...RAGGED_FIELDS,
  ],
  amountAt: ({ side: own, within, fade }, { facing }) =>
    below(Math.acos(Math.min(1, Math.max(-1, dot(facing, SIDES[own])))), within, fade),
});
