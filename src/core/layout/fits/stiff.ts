import { z } from 'zod';
import { carryStiff, fillRow } from '../../segment/pieces/rows';
import { rowXs } from '../../segment/rows';
import { frameOn } from '../../shape/frame-on';
import { defineFit } from '../fit';

/** One pose, at the piece's middle: it keeps its shape and length and is only carried and turned. */
export const stiff = defineFit({
  kind: 'stiff',
  label: 'stiff',
  hint: 'Keeps its shape, turned to the path at its middle',
  schema: z.strictObject({ kind: z.literal('stiff') }),
  defaults: { kind: 'stiff' },
  fields: [],
  follows: false,
  fillRows(rows, form, shape, { station, factor, scale, natural }) {
    const middle = natural / 2;
    const pose = frameOn(shape, station + factor * middle);
    rowXs(form).forEach((x, row) => {
      const frame = pose.slice();
      carryStiff(frame, (x - middle) * scale);
      fillRow(rows, row, frame, scale, shape.table.origin);
    });
  },
});
