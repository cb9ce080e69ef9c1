import { CURVATURE, FORWARD, FRAME_STRIDE, spanAt, TWIST, UP, type FrameTable } from './frame-table';

/**
 * Writes the frame at station `s` (metres) into `out`, laid out as one sample of the table. Between samples the position
 * follows a cubic through both ends and tangents; directions are blended and made square again. Beyond an open path's
 * ends the frame runs straight on; on a closed path stations wrap round. At a corner it is that of the leg which begins there, or, with
 * `isBefore`, of the one that ends.
 */
export function fillFrame(out: Float64Array, at: number, table: FrameTable, s: number, isBefore = false): void {
  const { frames, length, spans, closed } = table;
  let station = s;
  if (closed && (s < 0 || s > length)) station = s - Math.floor(s / length) * length;
  const beyond = closed ? 0 : station < 0 ? station : station > length ? station - length : 0;
  station = Math.min(Math.max(station, 0), length);
  let span = spanAt(spans, station);
  if (isBefore && spans.starts[span] === station && (span > 0 || closed)) {
    span = span > 0 ? span - 1 : spans.starts.length - 2;
    station = spans.starts[span + 1]!;
  }
  const first = spans.firsts[span];
  const intervals = spans.firsts[span + 1] - 1 - first;
  const step = (spans.starts[span + 1] - spans.starts[span]) / intervals;
  const x = step > 0 ? (station - spans.starts[span]) / step : 0;
  // At a span's end its last sample itself: what meets there meets to the last digit.
  const isEnd = station === spans.starts[span + 1];
  const i = isEnd ? intervals - 1 : Math.min(Math.floor(x), intervals - 1);
  const t = isEnd ? 1 : Math.min(x - i, 1);
  const a = (first + i) * FRAME_STRIDE;
  const b = a + FRAME_STRIDE;
  if (beyond !== 0 || t === 0 || t === 1) {
    const from = t < 0.5 ? a : b;
    for (let k = 0; k < FRAME_STRIDE; k++) out[at + k] = frames[from + k]!;
    if (beyond !== 0) {
      for (let c = 0; c < 3; c++) out[at + c] = frames[from + c] + beyond * frames[from + FORWARD + c];
      for (let k = CURVATURE; k <= TWIST; k++) out[at + k] = 0;
    }
    return;
  }
  const q = 1 - t;
  // Cubic Hermite weights; the tangents are unit vectors times the step.
  const h00 = (1 + 2 * t) * q * q;
  const h10 = t * q * q * step;
  const h01 = t * t * (3 - 2 * t);
  const h11 = -t * t * q * step;
  out[at] = h00 * frames[a] + h10 * frames[a + 3] + h01 * frames[b] + h11 * frames[b + 3];
  out[at + 1] = h00 * frames[a + 1] + h10 * frames[a + 4] + h01 * frames[b + 1] + h11 * frames[b + 4];
  out[at + 2] = h00 * frames[a + 2] + h10 * frames[a + 5] + h01 * frames[b + 2] + h11 * frames[b + 5];
  // Forward is the cubic's own: blended, it would be off by the square of the step where the bend changes.
  const d = (6 * t * q) / step;
  const d0 = q * (1 - 3 * t);
  const d1 = t * (3 * t - 2);
  const fx0 = d * (frames[b] - frames[a]) + d0 * frames[a + 3] + d1 * frames[b + 3];
  const fy0 = d * (frames[b + 1] - frames[a + 1]) + d0 * frames[a + 4] + d1 * frames[b + 4];
  const fz0 = d * (frames[b + 2] - frames[a + 2]) + d0 * frames[a + 5] + d1 * frames[b + 5];
  const fl = 1 / Math.sqrt(fx0 * fx0 + fy0 * fy0 + fz0 * fz0);
  const fx = fx0 * fl;
  const fy = fy0 * fl;
  const fz = fz0 * fl;
  const ux0 = q * frames[a + UP] + t * frames[b + UP];
  const uy0 = q * frames[a + UP + 1] + t * frames[b + UP + 1];
  const uz0 = q * frames[a + UP + 2] + t * frames[b + UP + 2];
  const along = ux0 * fx + uy0 * fy + uz0 * fz;
  const px = ux0 - along * fx;
  const py = uy0 - along * fy;
  const pz = uz0 - along * fz;
  const pl = 1 / Math.sqrt(px * px + py * py + pz * pz);
  const ux = px * pl;
  const uy = py * pl;
  const uz = pz * pl;
  out[at + 3] = fx;
  out[at + 4] = fy;
  out[at + 5] = fz;
  out[at + 6] = ux;
  out[at + 7] = uy;
  out[at + 8] = uz;
  out[at + 9] = fy * uz - fz * uy;
  out[at + 10] = fz * ux - fx * uz;
  out[at + 11] = fx * uy - fy * ux;
  // Curvature and twist, fields 12 to 15; written out, as all of this, because a run asks for every row.
  out[at + 12] = q * frames[a + 12] + t * frames[b + 12];
  out[at + 13] = q * frames[a + 13] + t * frames[b + 13];
  out[at + 14] = q * frames[a + 14] + t * frames[b + 14];
  out[at + 15] = q * frames[a + 15] + t * frames[b + 15];
}
