import { z } from 'zod';
import { defineFit } from '../fit';
import { fillUpright } from '../upright-rows';

/** Uprights stay plumb, what runs along the piece follows the slope. */
export const plumb = defineFit({
  kind: 'plumb',
  label: 'plumb',
  hint: 'Uprights stay plumb, rails follow the slope',
  schema: z.strictObject({ kind: z.literal('plumb') }),
  defaults: { kind: 'plumb' },
  fields: [],
  follows: true,
  measures: () => 'plan',
  fillRows(rows, form, shape, place) {
    fillUpright(rows, form, shape, place, (_, frame) => ({ y: frame[1], climbs: true }));
  },
});
