import { firstAfter } from '../../core/math/first-after';
import { sub, type Vec3 } from '../../core/math/vec3';
import type { PathView } from '../../engine/path-view';
import type { Viewport } from './viewport';

/** The station of the path's place nearest to a pixel, if it is within `within` pixels; metres. */
export function nearestStation(
  viewport: Viewport,
  path: PathView,
  x: number,
  y: number,
  within: number,
): number | undefined {
  const { line, stations } = path;
  let best: number | undefined;
  let least = within;
  let before: { x: number; y: number } | undefined;
  for (let i = 0; i * 3 < line.length; i++) {
    const p = viewport.toScreen([line[i * 3], line[i * 3 + 1], line[i * 3 + 2]]);
    if (before && p.isAhead) {
      const [dx, dy] = [p.x - before.x, p.y - before.y];
      const l2 = dx * dx + dy * dy;
      const t = l2 > 0 ? Math.min(Math.max(((x - before.x) * dx + (y - before.y) * dy) / l2, 0), 1) : 0;
      const distance = Math.hypot(x - before.x - t * dx, y - before.y - t * dy);
      if (distance < least) [best, least] = [stations[i - 1] + t * (stations[i] - stations[i - 1]), distance];
    }
    before = p.isAhead ? p : undefined;
  }
  return best;
}

/** The place of a station on the sampled path, metres. */
export function placeAt({ line, stations }: PathView, station: number): [number, number, number] {
  const i = Math.min(Math.max(firstAfter(stations, station) - 1, 0), stations.length - 2);
  const gap = stations[i + 1] - stations[i];
  const t = gap > 0 ? Math.min(Math.max((station - stations[i]) / gap, 0), 1) : 0;
  const mix = (c: number) => line[i * 3 + c] * (1 - t) + line[i * 3 + 3 + c] * t;
  return [mix(0), mix(1), mix(2)];
}

/** The way the path runs at a station, not of unit length; undefined where there is none. */
export function forwardAt(path: PathView | undefined, station: number | undefined): Vec3 | undefined {
  if (!path || station === undefined) return undefined;
  const step = path.length * 1e-4;
  return sub(placeAt(path, Math.min(station + step, path.length)), placeAt(path, Math.max(station - step, 0)));
}
