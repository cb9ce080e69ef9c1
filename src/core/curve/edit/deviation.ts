import { buildFrameTable } from '../../frames/build-frame-table';
import { FRAME_STRIDE } from '../../frames/frame-table';
import { buildArcTable } from '../arc-table';
import { compileCurve, type CurveSpec } from '../registry';

const SAMPLES = 400;

/** How far two paths lie apart at most, metres: from places on either to the nearest chord of the other. Undefined where one is no curve. */
export function deviation(a: CurveSpec, b: CurveSpec): number | undefined {
  const [p, q] = [sampled(a), sampled(b)];
  return p && q && Math.max(farthest(p, q), farthest(q, p));
}

function sampled(spec: CurveSpec): Float64Array | undefined {
  const compiled = compileCurve(spec);
  if (!compiled.ok) return undefined;
  const table = buildFrameTable(
    buildArcTable(compiled.value),
    { rule: 'upright', up: [0, 1, 0] },
    { intervals: SAMPLES },
  );
  const out = new Float64Array((SAMPLES + 1) * 3);
  for (let i = 0; i <= SAMPLES; i++) for (let c = 0; c < 3; c++) out[i * 3 + c] = table.frames[i * FRAME_STRIDE + c]!;
  return out;
}

function farthest(from: Float64Array, to: Float64Array): number {
  let most = 0;
  for (let i = 0; i < from.length; i += 3) {
    let least = Infinity;
    for (let k = 0; k + 3 < to.length; k += 3) {
      const d = [0, 1, 2].map((c) => to[k + 3 + c]! - to[k + c]!);
      const r = [0, 1, 2].map((c) => from[i + c]! - to[k + c]!);
      const dd = d[0]! ** 2 + d[1]! ** 2 + d[2]! ** 2 || 1;
      const t = Math.min(Math.max((d[0]! * r[0]! + d[1]! * r[1]! + d[2]! * r[2]!) / dd, 0), 1);
      least = Math.min(least, Math.hypot(r[0]! - t * d[0]!, r[1]! - t * d[1]!, r[2]! - t * d[2]!));
    }
    most = Math.max(most, least);
  }
  return most;
}
