import type { OnProgress } from '../../math/progress';
import { distance } from '../../math/vec3';
import type { PathPoint } from '../../curve/path-spec';
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
    const first = points[0].position;
    const size = points.reduce((most, { position }) => Math.max(most, distance(first, position)), 0);
    const kept = thinnedBetweenValues(points, tolerance ?? size * NEAR);
    return kept.length === points.length ? spec : { ...spec, points: kept };
  },
};

/** As {@link thinned}; points that have a roll or a gauge stay. */
function thinnedBetweenValues(points: readonly PathPoint[], tolerance: number): PathPoint[] {
  const kept: PathPoint[] = [points[0]];
  let from = 0;
  points.forEach(({ roll, gauge }, i) => {
    const isEnd = i === points.length - 1;
    if (i === 0 || (!isEnd && roll === undefined && gauge === undefined)) return;
    kept.push(...thinned(points.slice(from, i + 1), tolerance).slice(1));
    from = i;
  });
  return kept;
}

export interface ThinOptions {
  /** Keep no more than so many, the least needed ones go first. Default: no limit. */
  readonly most?: number;
  readonly onProgress?: OnProgress | undefined;
}

/**
 * The points that keep a polyline within `tolerance` metres (Ramer 1972, Douglas & Peucker 1973), or as near to it as so few of them
 * can. Ends stay.
 */
export function thinned(
  points: readonly PathPoint[],
  tolerance: number,
  { most = Infinity, onProgress }: ThinOptions = {},
): PathPoint[] {
  const needs = fillNeeds(new Float64Array(points.length), points, tolerance, onProgress);
  let least = tolerance;
  if (needs.filter((need) => need > least).length > most) least = Math.max(needs.toSorted().at(-1 - most)!, tolerance);
  return points.filter((_, i) => needs[i] > least);
}

/** Points that are told of at a time. */
const TOLD_EVERY = 2000;

/** Within which tolerance each point can go, metres: how far it lies from the chord that it splits, and never more than that chord's own; 0 within `tolerance`. */
function fillNeeds(
  out: Float64Array,
  points: readonly PathPoint[],
  tolerance: number,
  onProgress?: OnProgress,
): Float64Array {
  const n = points.length;
  const places = new Float64Array(n * 3);
  points.forEach(({ position }, i) => places.set(position, i * 3));
  out[0] = out[n - 1] = Infinity;
  let [done, told] = [0, 0];
  const open = [0, n - 1];
  while (open.length > 0) {
    const to = open.pop()!;
    const from = open.pop()!;
    const at = farthest(places, from, to);
    const off = at < 0 ? 0 : Math.min(fromChord(places, at, from, to), out[from], out[to]);
    if (off > tolerance) {
      out[at] = off;
      open.push(from, at, at, to);
    } else done += to - from;
    if (done - told < TOLD_EVERY) continue;
    told = done;
    onProgress?.(done / n);
  }
  return out;
}

function farthest(places: Float64Array, from: number, to: number): number {
  let [most, at] = [0, -1];
  for (let i = from + 1; i < to; i++) {
    const off = fromChord(places, i, from, to);
    if (off > most) {
      most = off;
      at = i;
    }
  }
  return at;
}

/** Metres from place i to the chord between two others. */
function fromChord(places: Float64Array, i: number, from: number, to: number): number {
  const [p, a, b] = [i * 3, from * 3, to * 3];
  const rx = places[p] - places[a];
  const ry = places[p + 1] - places[a + 1];
  const rz = places[p + 2] - places[a + 2];
  const dx = places[b] - places[a];
  const dy = places[b + 1] - places[a + 1];
  const dz = places[b + 2] - places[a + 2];
  const dd = dx * dx + dy * dy + dz * dz;
  const t = dd > 0 ? Math.min(Math.max((rx * dx + ry * dy + rz * dz) / dd, 0), 1) : 0;
  const [x, y, z] = [rx - t * dx, ry - t * dy, rz - t * dz];
  return Math.sqrt(x * x + y * y + z * z);
}
