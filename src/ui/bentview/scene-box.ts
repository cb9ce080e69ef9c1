import { add, type Vec3 } from '../../core/math/vec3';
import type { Box } from '../../core/mesh/box';
import type { PathView } from '../../engine/path-view';
import type { RunResult } from '../state/results-store';

export interface Sphere {
  readonly centre: Vec3;
  readonly radius: number;
}

export interface SceneBox {
  readonly min: Vec3;
  readonly max: Vec3;
}

const EMPTY_SCENE: SceneBox = { min: [-8, 0, -5], max: [8, 1, 5] };

/** How much is seen before there is anything: ten times the segment's width, or three pieces. */
const START_WIDTHS = 10;
const START_LENGTHS = 3;

/** Where a first path is drawn, by the segment that it is for. */
export function startBox({ min, max }: Box): SceneBox {
  const wide = Math.max((max[2] - min[2]) * START_WIDTHS, (max[0] - min[0]) * START_LENGTHS, 0.01);
  const [x, z] = [wide * 0.4, wide * 0.25];
  return { min: [-x, Math.min(min[1], 0), -z], max: [x, Math.max(max[1], 0), z] };
}

/** The box round some runs, grown or not: where their paths lead their segments, and what is there of their meshes. */
export function sceneBox(results: readonly RunResult[], empty = EMPTY_SCENE): SceneBox {
  const places = framePlaces(results, empty);
  for (const { geometry } of results.flatMap(({ courses }) => courses)) {
    const { positions, box, origin } = geometry;
    if (positions.length > 0 || geometry.places.length > 0) places.push(add(box.min, origin), add(box.max, origin));
  }
  const extreme = (pick: (...values: number[]) => number, c: number) =>
    places.reduce((v, p) => pick(v, p[c]), places[0][c]);
  const all = (pick: (...values: number[]) => number): Vec3 => [extreme(pick, 0), extreme(pick, 1), extreme(pick, 2)];
  return { min: all(Math.min), max: all(Math.max) };
}

export function boundingSphere({ min, max }: SceneBox): Sphere {
  const centre: Vec3 = [(min[0] + max[0]) / 2, (min[1] + max[1]) / 2, (min[2] + max[2]) / 2];
  return { centre, radius: Math.max(Math.hypot(max[0] - min[0], max[1] - min[1], max[2] - min[2]) / 2, 0.05) };
}

/** Places that a picture of some runs should show: along their paths, above and below by what they reach. */
export function framePlaces(results: readonly RunResult[], empty = EMPTY_SCENE): Vec3[] {
  const places = results.flatMap(placesAlong);
  if (places.length > 0) return places;
  const { min, max } = empty;
  return [0, 1].flatMap((a) => [0, 1].map((b): Vec3 => [a ? max[0] : min[0], 0, b ? max[2] : min[2]]));
}

/** Places that one wants to see of a run: along its path, on top of its segment. */
export function sightPlaces({ path: { line }, courses }: RunResult): readonly Vec3[] {
  const top = courses[0].segment.box.max[1];
  const places: Vec3[] = [];
  for (let i = 0; i < line.length; i += strideOf(line)) places.push([line[i], line[i + 1] + top, line[i + 2]]);
  return places;
}

/** While one run is dragged those of the others stay. */
const KNOWN = new WeakMap<PathView, readonly Vec3[]>();

function placesAlong({ path, courses }: RunResult): readonly Vec3[] {
  const known = KNOWN.get(path);
  if (known) return known;
  const places: Vec3[] = [];
  const { line } = path;
  const { min, max } = courses[0].segment.box;
  const wide = Math.max(Math.abs(min[2]), Math.abs(max[2]));
  for (let i = 0; i < line.length; i += strideOf(line)) {
    const [x, y, z] = [line[i], line[i + 1], line[i + 2]];
    for (const dx of [-wide, wide])
      for (const dz of [-wide, wide]) places.push([x + dx, y + min[1], z + dz], [x + dx, y + max[1], z + dz]);
  }
  KNOWN.set(path, places);
  return places;
}

/** From one place of a path's line to the next that is asked, of some hundred. */
const strideOf = (line: ArrayLike<number>): number => Math.max(1, Math.floor(line.length / 3 / 120)) * 3;
