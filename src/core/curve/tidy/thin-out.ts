import { cross, distance, dot, length, sub, type Vec3 } from '../../math/vec3';
import type { PathPoint } from '../path-spec';
import type { Tidy } from './tidy';

/** Points that lie nearer than this to the line past them, as a share of the path's size, are left out where nothing else is asked. */
const NEAR = 1 / 500;

export const thinOut: Tidy = {
  label: 'Leave out needless points',
  hint: 'Points that hardly bend the curve go',
  tolerance: NEAR,
  apply(spec, tolerance) {
    const { points } = spec;
    if (points.length < 3) return spec;
    const first = points[0]!.position;
    const size = points.reduce((most, { position }) => Math.max(most, distance(first, position)), 0);
    const kept = thinned(points, tolerance ?? size * NEAR);
    return kept.length === points.length ? spec : { ...spec, points: kept };
  },
};

/** The points that keep a polyline within `tolerance` metres (Ramer 1972, Douglas & Peucker 1973). Ends stay. */
export function thinned(points: readonly PathPoint[], tolerance: number): PathPoint[] {
  const keep = new Uint8Array(points.length);
  keep[0] = keep[points.length - 1] = 1;
  const open: [number, number][] = [[0, points.length - 1]];
  for (let span = open.pop(); span; span = open.pop()) {
    const [from, to] = span;
    let [most, at] = [tolerance, -1];
    for (let i = from + 1; i < to; i++) {
      const off = fromChord(points[i]!.position, points[from]!.position, points[to]!.position);
      if (off > most) [most, at] = [off, i];
    }
    if (at < 0) continue;
    keep[at] = 1;
    open.push([from, at], [at, to]);
  }
  return points.filter((_, i) => keep[i] === 1);
}

function fromChord(p: Vec3, a: Vec3, b: Vec3): number {
  const [d, r] = [sub(b, a), sub(p, a)];
  const along = dot(d, r);
  const dd = dot(d, d);
  if (along <= 0 || dd === 0) return length(r);
  return along >= dd ? distance(p, b) : length(cross(d, r)) / Math.sqrt(dd);
}
