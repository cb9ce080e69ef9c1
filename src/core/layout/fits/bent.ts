import { z } from 'zod';
import { buildMitre, leaningRow, meanOfCorner } from '../../segment/pieces/mitre';
import { carryStiff, fillRow } from '../../segment/pieces/rows';
import { rowXs } from '../../segment/rows';
import { stiffPlaces } from '../../segment/stiff-zones';
import { fillFrameOn, rollFrame, SHAPE_STRIDE } from '../../shape/frame-on';
import { defineFit } from '../fit';

/** Every row follows the path, save those of stiff zones, which are carried as one. */
export const bent = defineFit({
  kind: 'bent',
  label: 'bent',
  hint: 'Follows every bend of the path',
  schema: z.strictObject({
    kind: z.literal('bent'),
    /** What of a piece is as long as it is laid: absent = its middle, on the path. */
    keeps: z.enum(['middle', 'inner', 'outer']).optional(),
  }),
  defaults: { kind: 'bent', keeps: 'middle' },
  fields: [
    {
      input: 'choice',
      key: 'keeps',
      label: 'Keeps the length of',
      choices: [
        { value: 'middle', label: 'its middle' },
        { value: 'inner', label: 'its inner side' },
        { value: 'outer', label: 'its outer side' },
      ],
    },
  ],
  follows: true,
  measures: ({ keeps = 'middle' }) => (keeps === 'middle' ? 'path' : keeps),
  fillRows(rows, form, shape, { station: start, factor }) {
    const { stiff } = form;
    const xs = rowXs(form);
    const { table } = shape;
    const places = stiff.length > 0 ? stiffPlaces(form, factor) : undefined;
    const mitre = buildMitre(form, shape, { station: start, factor });
    const frame = new Float64Array(SHAPE_STRIDE);
    for (let r = 0; r < xs.length; r++) {
      const x = xs[r];
      const place = places?.(x);
      const own = start + (place ? place.frameAt : factor * x);
      const corner = mitre?.(r, own);
      const roll = fillFrameOn(frame, 0, shape, corner?.station ?? own, corner?.isBefore);
      if (place?.isStiff) carryStiff(frame, place.along - place.frameAt);
      if (corner && corner.share > 0 && !place?.isStiff) rows.leaning.push(leaningRow(r, frame, roll, table, corner));
      if (corner?.isBoth) {
        meanOfCorner(frame, table, corner.kink);
        rollFrame(frame, 0, roll);
      }
      fillRow(rows, r, frame, place?.factor ?? factor, table.origin);
    }
  },
});
