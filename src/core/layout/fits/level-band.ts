import { z } from 'zod';
import { metresField } from '../../math/form-field';
import { rowXs } from '../../segment/rows';
import { defineFit } from '../fit';
import { heldField, heldHeight, heldSchema } from '../held-height';
import { fillUpright } from '../upright-rows';

/** Plumb; between two heights of the piece it stays level, above and below it follows the slope. */
export const levelBand = defineFit({
  kind: 'levelBand',
  label: 'plumb, level between two heights',
  hint: 'Between two heights it stays level, above and below it follows the slope',
  schema: z.strictObject({
    kind: z.literal('levelBand'),
    /** Metres above the path. */
    low: z.number().min(-1e3).max(1e3),
    high: z.number().min(-1e3).max(1e3),
    /** Metres over which one goes over into the other, above and below. */
    blend: z.number().min(0).max(1e3),
    at: heldSchema,
  }),
  defaults: { kind: 'levelBand', low: 0.1, high: 0.8, blend: 0.05, at: 'middle' },
  fields: [
    metresField('low', 'Level from', 0.01),
    metresField('high', 'Level up to', 0.01),
    { ...metresField('blend', 'Goes over within', 0.01), least: 0 },
    heldField,
  ],
  follows: true,
  steps: true,
  measures: () => 'plan',
  fillRows(rows, form, shape, place, { low, high, blend, at }) {
    const y = heldHeight(shape, place, { at });
    const drops = new Float64Array(rowXs(form).length);
    fillUpright(rows, form, shape, place, (row, frame) => {
      drops[row] = y - frame[1];
      return { y: frame[1], climbs: true };
    });
    rows.band = { drops, low: Math.min(low, high), high: Math.max(low, high), blend };
  },
});
