import { distance, dot, length, lerp, normalize, scale, sub, type Vec3 } from '../math/vec3';

/** From a place to a stretch between two others, metres. */
function toStretch(p: Vec3, a: Vec3, b: Vec3): number {
  const d = sub(b, a);
  const t = Math.min(Math.max(dot(sub(p, a), d) / (dot(d, d) || 1), 0), 1);
  return distance(p, lerp(a, b, t));
}

/** From a place to the endless line through two others, metres. */
export function toLine(p: Vec3, a: Vec3, b: Vec3): number {
  const d = normalize(sub(b, a));
  const r = sub(p, a);
  return length(sub(r, scale(d, dot(r, d))));
}

/** From a place to a polyline, metres. */
export const toPolyline = (p: Vec3, line: readonly Vec3[]): number =>
  line.slice(1).reduce((least, b, i) => Math.min(least, toStretch(p, line[i], b)), Infinity);
