import { z } from 'zod';
import type { FormField } from '../../math/form-field';
import { frameOn } from '../../shape/frame-on';
import type { Shape } from '../../shape/shape';
import { defineFit, type Place } from '../fit';
import { fillUpright } from '../upright-rows';

/** Where of a piece its height is taken from the path. */
export const heldSchema = z.enum(['start', 'middle', 'end']);
export type Held = z.infer<typeof heldSchema>;

export const heldField: FormField = {
  input: 'choice',
  key: 'at',
  label: 'At the path’s height',
  choices: [
    { value: 'start', label: 'at its start' },
    { value: 'middle', label: 'in its middle' },
    { value: 'end', label: 'at its end' },
  ],
};

/** Metres: the height that a level piece has. */
export function heldHeight(shape: Shape, { station, factor, natural }: Place, at: Held): number {
  const share = at === 'start' ? 0 : at === 'middle' ? 0.5 : 1;
  // At its end as the path comes there, for the next piece begins in that place.
  return frameOn(shape, station + share * factor * natural, at === 'end')[1];
}

/** The whole piece stays level and steps from one to the next; it follows the path as that is seen from above. */
export const level = defineFit({
  kind: 'level',
  label: 'level',
  hint: 'Stays level and steps from piece to piece',
  schema: z.strictObject({ kind: z.literal('level'), at: heldSchema }),
  defaults: { kind: 'level', at: 'middle' },
  fields: [heldField],
  follows: true,
  steps: true,
  measures: () => 'plan',
  fillRows(rows, form, shape, place, { at }) {
    const y = heldHeight(shape, place, at);
    fillUpright(rows, form, shape, place, () => ({ y, climbs: false }));
  },
});
