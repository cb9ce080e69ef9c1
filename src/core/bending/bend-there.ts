import { buildRows } from '../layout/fit-registry';
import type { CoursePlan, PosedPiece } from '../motion/pose-course';
import { ROW_STRIDE } from '../segment/pieces/rows';
import { rowXs } from '../segment/rows';
import { bendRows } from './bend-rows';
import { BESIDE, BEYOND, HERE, rowsThere } from './rows-there';

/** What stands in for what is not there: a place, and how far around it what is there reaches, metres. */
export interface Stump {
  readonly place: readonly number[];
  readonly reach: number;
}

/**
 * Writes where the vertices of a piece lie, flat xyz, when parts of it are there, at least one. Those beside what is there lie flat on its end, those
 * beyond that in one point; says for each row that is not there on which end it lies.
 */
export function bendThere(
  outPositions: Float32Array,
  outNormals: Float32Array,
  firstVertex: number,
  { fit }: CoursePlan,
  rest: PosedPiece,
  parts: readonly PosedPiece[],
): ReadonlyMap<number, Stump> {
  const { form } = rest;
  const [{ form: own, shape, place, laid }] = parts;
  const isAsLong = laid.worn.length === rest.laid.worn.length;
  const stumps = new Map<number, Stump>();
  if (parts.length === 1 && isAsLong && own.box.min[0] <= form.box.min[0] && own.box.max[0] >= form.box.max[0]) {
    bendRows(outPositions, outNormals, firstVertex, form, buildRows(fit, form, shape, place));
    return stumps;
  }
  const { frames, gone } = rowsThere(fit, parts, rowXs(form), rest);
  bendRows(outPositions, outNormals, firstVertex, form, { frames, leaning: [] });
  const { rows } = form;
  const reachOf = (row: number): number => {
    let most = 0;
    for (let v = firstVertex + rows[row]; v < firstVertex + rows[row + 1]; v++)
      most = Math.max(
        most,
        Math.hypot(...[0, 1, 2].map((c) => outPositions[v * 3 + c] - frames[row * ROW_STRIDE + c])),
      );
    return most;
  };
  const nearest = (row: number, what: number): number => {
    for (let by = 1; by < gone.length; by++) for (const other of [row - by, row + by]) if (gone[other] === what) return other; // prettier-ignore
    return -1;
  };
  for (let row = 0; row < gone.length; row++) {
    if (gone[row] === HERE) continue;
    const end = gone[row] === BESIDE ? row : nearest(row, BESIDE);
    const beside = [end - 1, end + 1].find((other) => gone[other] === HERE);
    const at = frames.subarray(row * ROW_STRIDE, row * ROW_STRIDE + 3);
    stumps.set(row, { place: [...at], reach: beside === undefined ? 0 : reachOf(beside) });
    if (gone[row] === BEYOND) for (let v = firstVertex + rows[row]; v < firstVertex + rows[row + 1]; v++) outPositions.set(at, v * 3); // prettier-ignore
  }
  return stumps;
}
