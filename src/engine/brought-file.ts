import { fitsPath, MAX_PATH_POINTS } from '../core/curve/path-spec';
import { placesAlong } from '../core/curve/places-along';
import type { CurveSpec } from '../core/curve/registry';
import { partOf, type OnProgress } from '../core/math/progress';
import { problem, type Problem } from '../core/math/result';
import { distance, type Vec3 } from '../core/math/vec3';
import type { BroughtPath, BroughtPaths } from '../formats/paths/path-format';
import { looksSmooth, placePath, type Placing } from '../formats/paths/place-paths';

/** More lines than this are not listed. */
const MOST_LISTED = 100;

/** What a file of paths holds, without the points. */
export interface BroughtFile extends Omit<BroughtPaths, 'paths'> {
  /** The first hundred. */
  readonly lines: readonly (Pick<BroughtPath, 'name' | 'kind' | 'closed'> & { readonly count: number })[];
  /** How many lines there are. */
  readonly count: number;
  /** How it is placed when nothing else is asked. */
  readonly placing: Placing;
}

/** A line as it is placed. Metres. */
export interface PlacedLine {
  readonly curve: CurveSpec;
  /** For drawing. */
  readonly places: readonly Vec3[];
  readonly length: number;
  readonly size: Vec3;
  /** Why it can be no path: `paths.too-many` with `count`, `paths.too-far`. */
  readonly problem?: Problem;
}

/** A line that lies farther from the file's origin, metres, begins at the scene's unless something else is asked. */
const FAR = 10_000;

export function summaryOf({ paths, ...of }: BroughtPaths): BroughtFile {
  const lines = paths.slice(0, MOST_LISTED);
  const unit = of.unit ?? 1;
  const { far, size } = extent(lines);
  const isFar = far * unit > FAR;
  const notes = [of.note, isFar && 'It lies far from the origin of its file: let it begin at the origin here.'];
  const note = notes.filter(Boolean).join(' ');
  const placing: Placing = {
    unit,
    plane: 'ground',
    up: of.up ?? 'y',
    isFlat: of.isFlat,
    tolerance: Number(((size * unit) / UNSEEN).toPrecision(1)),
    isSmooth: lines.every(looksSmooth),
    toOrigin: isFar,
  };
  return {
    ...of,
    lines: lines.map(({ name, kind, closed, points }) => ({ name, kind, closed, count: points.length })),
    count: paths.length,
    placing,
    ...(note && { note }),
  };
}

/** A share of their size that nobody sees. */
const UNSEEN = 4000;

/** How far lines lie from their origin, and how large they are, in their units. */
function extent(lines: readonly BroughtPath[]) {
  const first = lines[0].points[0].position;
  let [far, size] = [0, 0];
  for (const { points } of lines)
    for (const { position } of points) {
      far = Math.max(far, distance(position, [0, 0, 0]));
      size = Math.max(size, distance(position, first));
    }
  return { far, size };
}

/** The listed lines of a file as paths of the scene. */
export function placeLines({ paths }: BroughtPaths, placing: Placing, onProgress?: OnProgress): PlacedLine[] {
  const lines = paths.slice(0, MOST_LISTED);
  const total = lines.reduce((sum, { points }) => sum + points.length, 0);
  let before = 0;
  return lines.map((line) => {
    const [from, to] = [before / total, (before += line.points.length) / total];
    const curve = placePath(line, placing, partOf(onProgress, from, from + (to - from) * 0.8));
    const problem = problemOf(curve);
    const places = problem ? curve.points.map(({ position }) => position) : placesAlong(curve);
    onProgress?.(to);
    return { curve, places, ...measured(places), ...(problem && { problem }) };
  });
}

function problemOf({ points }: CurveSpec): Problem | undefined {
  if (fitsPath(points)) return undefined;
  return points.length > MAX_PATH_POINTS
    ? problem('paths.too-many', { count: points.length })
    : problem('paths.too-far');
}

function measured(places: readonly Vec3[]): Pick<PlacedLine, 'length' | 'size'> {
  const [low, high] = [[Infinity, Infinity, Infinity], [-Infinity, -Infinity, -Infinity]]; // prettier-ignore
  let length = 0;
  places.forEach((place, i) => {
    if (i > 0) length += distance(place, places[i - 1]);
    place.forEach((v, c) => {
      low[c] = Math.min(low[c], v);
      high[c] = Math.max(high[c], v);
    });
  });
  return { length, size: [high[0] - low[0], high[1] - low[1], high[2] - low[2]] };
}
