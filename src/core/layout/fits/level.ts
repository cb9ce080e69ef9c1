import { z } from 'zod';
import { defineFit } from '../fit';
import { byLegField, byLegSchema, heldField, heldHeight, heldSchema } from '../held-height';
import { fillUpright } from '../upright-rows';

/** The whole piece stays level and steps from one to the next; it follows the path as that is seen from above. */
export const level = defineFit({
  kind: 'level',
  label: 'level',
  hint: 'Stays level and steps from piece to piece',
  schema: z.strictObject({ kind: z.literal('level'), at: heldSchema, byLeg: byLegSchema }),
  defaults: { kind: 'level', at: 'middle', byLeg: false },
  fields: [heldField, byLegField],
  follows: true,
  steps: true,
  measures: () => 'plan',
  fillRows(rows, form, shape, place, held) {
    const y = heldHeight(shape, place, held);
    fillUpright(rows, form, shape, place, () => ({ y, climbs: false }));
  },
});
