import { z } from 'zod';
import { carryStiff, fillRow } from '../../segment/pieces/rows';
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
  fillRows(rows, { mesh, rows: firsts }, shape, { station, factor, scale, natural }) {
    const middle = natural / 2;
    const pose = frameOn(shape, station + factor * middle);
    for (let r = 0; r + 1 < firsts.length; r++) {
      const frame = pose.slice();
      carryStiff(frame, (mesh.positions[firsts[r] * 3] - middle) * scale);
      fillRow(rows, r, frame, scale, shape.table.origin);
    }
  },
});
