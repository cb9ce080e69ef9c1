import type { OnProgress } from '../math/progress';
import { bendBand } from './bend-band';
import {
  ROW_DRIFT,
  ROW_FACTOR,
  ROW_GAUGE,
  ROW_RISE,
  ROW_STRETCH,
  ROW_STRIDE,
  type LeaningRow,
  type Rows,
} from '../segment/pieces/rows';
import type { PreparedSegment } from '../segment/prepared-segment';

/**
 * Writes the bent positions and normals of a piece, flat xyz, from vertex `firstVertex` on; positions from the table's origin. `form` is what the
 * piece wears, `rows` say how each row of it lies. The formulas are those of `fillRow`.
 */
export function bendRows(
  outPositions: Float32Array,
  outNormals: Float32Array,
  firstVertex: number,
  form: PreparedSegment,
  rows: Rows,
  onProgress?: OnProgress,
): void {
  const { mesh, rows: firsts } = form;
  const rowCount = firsts.length - 1;
  const perStep = Math.max(1, Math.ceil((rowCount * VERTICES_PER_STEP * 3) / mesh.positions.length));
  for (let r = 0; r < rowCount; r += perStep) {
    const some = firsts.subarray(r, r + perStep + 1);
    const frames = rows.frames.subarray(r * ROW_STRIDE);
    placeRows(outPositions, firstVertex * 3, mesh.positions, some, frames);
    turnRows(outNormals, firstVertex * 3, mesh.positions, mesh.normals, some, frames);
    onProgress?.(Math.min(1, (r + perStep) / rowCount));
  }
  for (const leaning of rows.leaning) {
    const frame = rows.frames.slice(leaning.row * ROW_STRIDE, (leaning.row + 1) * ROW_STRIDE);
    frame.set(leaning.position, 0);
    frame.set(leaning.up, 6);
    frame.set(leaning.side, 9);
    const some = firsts.subarray(leaning.row, leaning.row + 2);
    placeRows(outPositions, firstVertex * 3, mesh.positions, some, frame);
    turnLeaning(outNormals, firstVertex * 3, form, rows, leaning);
  }
  bendBand(outPositions, outNormals, firstVertex, form, rows);
}

/** How many vertices go between two steps of progress, some milliseconds' worth. */
const VERTICES_PER_STEP = 250_000;

/** Square of the forward part below which a normal counts as square to the path: a millionth, far below a float's error. */
const SQUARE_ON = 1e-12;

/*
 * NOTES. Rows, positions and normals go in three passes: each loop then has few enough constants to stay in registers (1 M
 * vertices took 54 ms with positions and normals in one loop). `| 0` on every place spares the compiled loop an overflow check a
 * number: 25.6 ms became 21.0. Normals that are square to the path (all of an extruded segment's) are spared the root and the
 * divisions where both gauges are one. Blocks of 64 rows, and a second loop for rows with other normals, made no difference.
 */

function placeRows(
  out: Float32Array,
  at: number,
  positions: Float32Array,
  firsts: Uint32Array,
  frames: Float64Array,
): void {
  for (let r = 0; r + 1 < firsts.length; r++) {
    const f = r * ROW_STRIDE;
    const gu = frames[f + ROW_GAUGE];
    const gs = frames[f + ROW_GAUGE + 1];
    const px = frames[f];
    const py = frames[f + 1];
    const pz = frames[f + 2];
    const ux = frames[f + 6] * gu;
    const uy = frames[f + 7] * gu;
    const uz = frames[f + 8] * gu;
    const sx = frames[f + 9] * gs;
    const sy = frames[f + 10] * gs;
    const sz = frames[f + 11] * gs;
    const last = (firsts[r + 1] * 3) | 0;
    for (let i = (firsts[r] * 3) | 0, o = (at + i) | 0; i < last; i = (i + 3) | 0, o = (o + 3) | 0) {
      const y = positions[(i + 1) | 0];
      const z = positions[(i + 2) | 0];
      out[o] = px + y * ux + z * sx;
      out[(o + 1) | 0] = py + y * uy + z * sy;
      out[(o + 2) | 0] = pz + y * uz + z * sz;
    }
  }
}

function turnRows(
  out: Float32Array,
  at: number,
  positions: Float32Array,
  normals: Float32Array,
  firsts: Uint32Array,
  frames: Float64Array,
): void {
  for (let r = 0; r + 1 < firsts.length; r++) {
    const f = r * ROW_STRIDE;
    // All is multiplied by the gauge sideways, so that where both are one, y and z of a normal stay as they are.
    const gs = frames[f + ROW_GAUGE + 1];
    const flat = gs / frames[f + ROW_GAUGE];
    const ahead = gs / frames[f + ROW_FACTOR];
    const fx = frames[f + 3];
    const fy = frames[f + 4];
    const fz = frames[f + 5];
    const ux = frames[f + 6] * flat;
    const uy = frames[f + 7] * flat;
    const uz = frames[f + 8] * flat;
    const sx = frames[f + 9];
    const sy = frames[f + 10];
    const sz = frames[f + 11];
    const e0 = frames[f + ROW_STRETCH];
    const e1 = frames[f + ROW_STRETCH + 1];
    const e2 = frames[f + ROW_STRETCH + 2];
    const c0 = frames[f + ROW_RISE] * gs;
    const c1 = frames[f + ROW_RISE + 1] * gs;
    const c2 = frames[f + ROW_RISE + 2] * gs;
    const d0 = frames[f + ROW_DRIFT] * gs;
    const d1 = frames[f + ROW_DRIFT + 1] * gs;
    const d2 = frames[f + ROW_DRIFT + 2] * gs;
    const least = flat === 1 ? SQUARE_ON : -1;
    const last = (firsts[r + 1] * 3) | 0;
    for (let i = (firsts[r] * 3) | 0, o = (at + i) | 0; i < last; i = (i + 3) | 0, o = (o + 3) | 0) {
      const y = positions[(i + 1) | 0];
      const z = positions[(i + 2) | 0];
      const b = normals[(i + 1) | 0];
      const c = normals[(i + 2) | 0];
      const forward = normals[i] * ahead - b * (c0 + c1 * y + c2 * z) - c * (d0 + d1 * y + d2 * z);
      if (forward * forward < least) {
        out[o] = ux * b + sx * c;
        out[(o + 1) | 0] = uy * b + sy * c;
        out[(o + 2) | 0] = uz * b + sz * c;
      } else {
        const stretch = e0 + e1 * y + e2 * z; // negative where the surface has folded over
        const t = forward / (stretch === 0 ? 1e-9 : stretch);
        const l = 1 / Math.sqrt(t * t + b * b * flat * flat + c * c);
        out[o] = (fx * t + ux * b + sx * c) * l;
        out[(o + 1) | 0] = (fy * t + uy * b + sy * c) * l;
        out[(o + 2) | 0] = (fz * t + uz * b + sz * c) * l;
      }
    }
  }
}

/**
 * Writes the normals of a row that leans: with a = up . forward and b = side . forward of the leaning frame, which change by a' and b' per metre, a
 * normal (l, m, n) goes to forward A + up (m / gauge_up - A a) + side (n / gauge_side - A b), A = (l / factor - m rise - n drift) / (1 + gauge_up y a' + gauge_side z b'):
 * the inverse transpose of the local map.
 */
function turnLeaning(
  out: Float32Array,
  at: number,
  { mesh: { positions, normals }, rows: firsts }: PreparedSegment,
  { frames }: Rows,
  { row, up, side, perMetre }: LeaningRow,
): void {
  const f = row * ROW_STRIDE;
  const [gu, gs] = [frames[f + ROW_GAUGE], frames[f + ROW_GAUGE + 1]];
  const along = (v: readonly number[]) => v[0] * frames[f + 3] + v[1] * frames[f + 4] + v[2] * frames[f + 5];
  const [a, b] = [along(up), along(side)];
  const [rise, drift] = [frames[f + ROW_RISE], frames[f + ROW_DRIFT]];
  for (let v = firsts[row]; v < firsts[row + 1]; v++) {
    const i = v * 3;
    const [l, m, n] = [normals[i], normals[i + 1], normals[i + 2]];
    const stretch = 1 + perMetre * (gu * positions[i + 1] * a + gs * positions[i + 2] * b);
    const forward = (l / frames[f + ROW_FACTOR] - m * rise - n * drift) / Math.max(stretch, 1e-6);
    const [onUp, onSide] = [m / gu - forward * a, n / gs - forward * b];
    let size = 0;
    for (let c = 0; c < 3; c++) {
      const w = forward * frames[f + 3 + c] + onUp * frames[f + 6 + c] + onSide * frames[f + 9 + c];
      out[at + i + c] = w;
      size += w * w;
    }
    for (let c = 0; c < 3; c++) out[at + i + c] /= Math.sqrt(size) || 1;
  }
}
