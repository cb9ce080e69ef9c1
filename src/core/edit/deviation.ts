import { buildArcTable, evenPlaces } from '../curve/arc-table';
import { compileCurve, type CurveSpec } from '../curve/registry';

const SAMPLES = 400;

/** How far two paths lie apart at most, metres: from places on either to the nearest chord of the other. Undefined where one is no curve. */
export function deviation(a: CurveSpec, b: CurveSpec): number | undefined {
  const [p, q] = [sampled(a), sampled(b)];
  return p && q && Math.max(farthest(p, q), farthest(q, p));
}

function sampled(spec: CurveSpec): Float64Array | undefined {
  const compiled = compileCurve(spec);
  if (!compiled.ok) return undefined;
  return evenPlaces(buildArcTable(compiled.value), SAMPLES);
}

function farthest(from: Float64Array, to: Float64Array): number {
  let most = 0;
  for (let i = 0; i < from.length; i += 3) {
    let least = Infinity;
    for (let k = 0; k + 3 < to.length; k += 3) {
      const dx = to[k + 3] - to[k];
      const dy = to[k + 4] - to[k + 1];
      const dz = to[k + 5] - to[k + 2];
      const rx = from[i] - to[k];
      const ry = from[i + 1] - to[k + 1];
      const rz = from[i + 2] - to[k + 2];
      const dd = dx * dx + dy * dy + dz * dz || 1;
      const t = Math.min(Math.max((dx * rx + dy * ry + dz * rz) / dd, 0), 1);
      least = Math.min(least, (rx - t * dx) ** 2 + (ry - t * dy) ** 2 + (rz - t * dz) ** 2);
    }
    most = Math.max(most, least);
  }
  return Math.sqrt(most);
}
