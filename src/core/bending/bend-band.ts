import { ROW_FACTOR, ROW_GAUGE, ROW_RISE, ROW_STRETCH, ROW_STRIDE, type Rows } from '../segment/pieces/rows';
import type { PreparedSegment } from '../segment/prepared-segment';

/**
 * Brings what of an upright piece lies within a level band to one height: a vertex at height y of the segment moves by w(y) of what its row is off
 * by, w = 1 in the band and 0 a blend's width away from it, a smooth step between. Writes over what the rows alone came to.
 *
 * With h' the slope of the path, the surface runs along x as a forward + b up, a = factor stretch, b = factor h' (1 - w), and up as c = gauge + w' drop,
 * so the inverse transpose takes a normal (l, m, n) to forward (l - b m / c) / a + up m / c + side n / gauge_side; from the map itself.
 */
export function bendBand(
  outPositions: Float32Array,
  outNormals: Float32Array,
  firstVertex: number,
  { mesh: { positions, normals }, rows: firsts }: PreparedSegment,
  { frames, band }: Rows,
): void {
  if (!band) return;
  const { drops, low, high, blend } = band;
  for (let r = 0; r + 1 < firsts.length; r++) {
    const f = r * ROW_STRIDE;
    const drop = drops[r];
    const gauge = frames[f + ROW_GAUGE];
    const gaugeSide = frames[f + ROW_GAUGE + 1];
    const factor = frames[f + ROW_FACTOR];
    const slope = frames[f + ROW_RISE] * gauge;
    for (let v = firsts[r]; v < firsts[r + 1]; v++) {
      const i = v * 3;
      const o = (firstVertex + v) * 3;
      const y = positions[i + 1];
      const off = y < low ? low - y : y > high ? y - high : 0;
      const t = off <= 0 ? 1 : off < blend ? 1 - off / blend : 0;
      const w = t * t * (3 - 2 * t);
      const perY = t > 0 && t < 1 ? ((6 * t * (1 - t)) / blend) * (y < low ? 1 : -1) : 0;
      outPositions[o + 1] = frames[f + 1] + gauge * y + w * drop; // in one sum, so that what is level is so to the last digit
      const a = factor * (frames[f + ROW_STRETCH] + frames[f + ROW_STRETCH + 2] * positions[i + 2]);
      const b = factor * slope * (1 - w);
      const c = Math.max(gauge + perY * drop, gauge * 1e-3);
      const up = normals[i + 1] / c;
      const forward = (normals[i] - b * up) / (a === 0 ? 1e-9 : a);
      const side = normals[i + 2] / gaugeSide;
      const l = 1 / Math.sqrt(forward * forward + up * up + side * side);
      for (let k = 0; k < 3; k++)
        outNormals[o + k] = (forward * frames[f + 3 + k] + up * frames[f + 6 + k] + side * frames[f + 9 + k]) * l;
    }
  }
}
