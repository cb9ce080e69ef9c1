import { buildRows } from '../layout/fit-registry';
import type { CoursePlan, PosedPiece } from '../motion/pose-course';
import { ROW_STRIDE } from '../segment/pieces/rows';
import { rowXs } from '../segment/rows';
import { bendRows } from './bend-rows';
import { BEYOND, rowsThere } from './rows-there';

/**
 * Writes where the vertices of a piece lie, flat xyz, when parts of it are there, at least one. Those beside what is there lie flat on its end, those
 * beyond that in one point.
 */
export function bendThere(
  outPositions: Float32Array,
  outNormals: Float32Array,
  firstVertex: number,
  { fit }: CoursePlan,
  rest: PosedPiece,
  parts: readonly PosedPiece[],
): void {
  const { form } = rest;
  const [{ form: own, shape, place, laid }] = parts;
  const isAsLong = laid.worn.length === rest.laid.worn.length;
  if (parts.length === 1 && isAsLong && own.box.min[0] <= form.box.min[0] && own.box.max[0] >= form.box.max[0]) {
    bendRows(outPositions, outNormals, firstVertex, form, buildRows(fit, form, shape, place));
    return;
  }
  const { frames, gone } = rowsThere(fit, parts, rowXs(form), rest);
  bendRows(outPositions, outNormals, firstVertex, form, { frames, leaning: [] });
  const { rows } = form;
  gone.forEach((own, row) => {
    if (own !== BEYOND) return;
    const at = frames.subarray(row * ROW_STRIDE, row * ROW_STRIDE + 3);
    for (let v = firstVertex + rows[row]; v < firstVertex + rows[row + 1]; v++) outPositions.set(at, v * 3);
  });
}
