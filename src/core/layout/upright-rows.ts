import { FORWARD, FRAME_STRIDE, SIDE, type FrameTable } from '../frames/frame-table';
import type { Vec3 } from '../math/vec3';
import { buildMitre, meanOfCorner, type CornerRow } from '../segment/pieces/mitre';
import { fillRow, type LeaningRow, type Rows } from '../segment/pieces/rows';
import type { PreparedSegment } from '../segment/prepared-segment';
import { rowXs } from '../segment/rows';
import { fillFrameOn, OFFSET_SIDE, OFFSET_UP, SHAPE_STRIDE } from '../shape/frame-on';
import type { Shape } from '../shape/shape';
import type { Place } from './place';
import { standUpright } from './upright';

/**
 * Writes the rows of a piece that stands upright all along: its uprights are plumb, and what runs along it follows the path as that is seen from
 * above. `height` is called for every row with its frame, before that stands upright: it may move the row up or down and say whether it still
 * climbs with the path.
 */
export function fillUpright(
  rows: Rows,
  form: PreparedSegment,
  shape: Shape,
  { station: start, factor }: Pick<Place, 'station' | 'factor'>,
  height: (row: number, frame: Float64Array, station: number) => { readonly y: number; readonly climbs: boolean },
): void {
  const { table } = shape;
  const mitre = buildMitre(form, shape, { station: start, factor });
  const frame = new Float64Array(SHAPE_STRIDE);
  rowXs(form).forEach((x, r) => {
    const own = start + factor * x;
    const corner = mitre?.(r, own);
    fillFrameOn(frame, 0, shape, corner?.station ?? own, corner?.isBefore);
    const { y, climbs } = height(r, frame, own);
    if (corner?.isBoth) meanOfCorner(frame, table, corner.kink);
    const level = standUpright(frame, climbs);
    frame[1] = y;
    if (corner && corner.share > 0) rows.leaning.push(leaningUpright(r, frame, table, corner));
    fillRow(rows, r, frame, factor * level, table.origin);
  });
}

/** A row whose side is slid along the path towards the plane of a corner, as that is seen from above. */
function leaningUpright(
  row: number,
  frame: Float64Array,
  { frames, origin }: FrameTable,
  { kink, isBefore, isBoth, share, slope }: CornerRow,
): LeaningRow {
  const [before, after] = [sideAt(frames, kink.before), sideAt(frames, kink.after)];
  // Along the bisecting plane, one wide square to either leg.
  const cosine = 1 + before[0] * after[0] + before[1] * after[1];
  const mitred = [0, 1].map((c) => (before[c] + after[c]) / Math.max(cosine, 0.1));
  const leg = isBefore ? before : after;
  const isIn = share === 1 || isBoth;
  const side: Vec3 = [
    isIn ? mitred[0] : frame[SIDE] + share * (mitred[0] - leg[0]),
    0,
    isIn ? mitred[1] : frame[SIDE + 2] + share * (mitred[1] - leg[1]),
  ];
  const position = [0, 1, 2].map(
    (c) => frame[c] - origin[c] + (c === 1 ? frame[OFFSET_UP] : 0) + frame[OFFSET_SIDE] * side[c],
  ) as unknown as Vec3;
  return { row, position, up: [0, 1, 0], side, perMetre: slope / share };
}

function sideAt(frames: Float64Array, sample: number): readonly [number, number] {
  const at = sample * FRAME_STRIDE + FORWARD;
  const size = Math.hypot(frames[at], frames[at + 2]) || 1;
  return [-frames[at + 2] / size, frames[at] / size];
}
