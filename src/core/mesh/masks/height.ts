import { z } from 'zod';
import { metresField } from '../../math/form-field';
import { below, defineMask, RAGGED, RAGGED_FIELDS, raggedShape } from '../mask';

const metres = z.number().min(-1e6).max(1e6);

/** Above or below a height in the scene: a tide line, snow. */
export const height = defineMask({
  kind: 'height',
  label: 'above or below a height',
  hint: 'By the height in the scene',
  schema: z.strictObject({
    kind: z.literal('height'),
    covers: z.enum(['below', 'above']),
    level: metres,
    fade: z.number().min(0).max(1e4),
    ...raggedShape,
  }),
  defaults: { kind: 'height', covers: 'below', level: 0.4, fade: 0.2, ...RAGGED },
  fields: [
    {
      input: 'choice',
      key: 'covers',
      label: 'Covers what is',
      choices: [
        { value: 'below', label: 'below' },
        { value: 'above', label: 'above' },
      ],
    },
    metresField('level', 'Height', 0.05),
    metresField('fade', 'Fades over', 0.05),
    ...RAGGED_FIELDS,
  ],
  amountAt: ({ covers, level, fade }, { position }) =>
    covers === 'below' ? below(position[1], level, fade) : below(-position[1], -level, fade),
});
