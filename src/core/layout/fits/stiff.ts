import { z } from 'zod';
import { carryStiff, fillRow, type Rows } from '../../segment/pieces/rows';
import type { PreparedSegment } from '../../segment/prepared-segment';
import { rowXs } from '../../segment/rows';
import { frameOn } from '../../shape/frame-on';
import type { Vec3 } from '../../math/vec3';
import { defineFit } from '../fit';
import { byLegField, byLegSchema, heldHeight } from '../held-height';
import { standUpright } from '../upright';

/** One pose, at the piece's middle: it keeps its shape and length and is only carried and turned. */
export const stiff = defineFit({
  kind: 'stiff',
  label: 'stiff',
  hint: 'Keeps its shape, turned to the path at its middle',
  schema: z.strictObject({
    kind: z.literal('stiff'),
    /** Square to the path it leans with the slope; plumb it stays upright. */
    stands: z.enum(['square', 'plumb']).default('square'),
    byLeg: byLegSchema,
  }),
  defaults: { kind: 'stiff', stands: 'square', byLeg: false },
  fields: [
    {
      input: 'choice',
      key: 'stands',
      label: 'It stands',
      choices: [
        { value: 'square', label: 'square to the path' },
        { value: 'plumb', label: 'plumb' },
      ],
    },
    { ...byLegField, appliesTo: ({ stands }) => stands === 'plumb' },
  ],
  follows: false,
  isRigid: true,
  measures: ({ stands }) => (stands === 'plumb' ? 'plan' : 'path'),
  fillRows(rows, form, shape, place, { stands, byLeg }) {
    const { station, factor, scale, natural } = place;
    const middle = natural / 2;
    const pose = frameOn(shape, station + factor * middle);
    if (stands === 'plumb') standUpright(pose);
    if (stands === 'plumb' && byLeg) pose[1] = heldHeight(shape, place, { at: 'middle', byLeg });
    fillStiff(rows, form, pose, { middle, scale, origin: shape.table.origin });
  },
});

/** Writes the rows of a piece that is carried as one: its `middle` lies on the pose. */
export function fillStiff(
  rows: Rows,
  form: PreparedSegment,
  pose: Float64Array,
  { middle, scale, origin }: { readonly middle: number; readonly scale: number; readonly origin: Vec3 },
): void {
  rowXs(form).forEach((x, row) => {
    const frame = pose.slice();
    carryStiff(frame, (x - middle) * scale);
    fillRow(rows, row, frame, scale, origin);
  });
}
