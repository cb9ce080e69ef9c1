import { add, scale, type Vec3 } from '../../core/math/vec3';
import { mouthsBeside, type Mouth } from '../../project/commands/plugs';
import type { Project } from '../../project/schema';
import type { Snapping } from '../state/session-store';
import type { Viewport } from './viewport';

/** Pixels within which a point catches. */
const CATCH = 10;

/** Where a dragged point comes to lie, and on what. */
export interface Snapped {
  readonly place: Vec3;
  readonly on?: 'end' | 'point' | 'middle' | 'guide' | 'grid';
  /** The end or socket to plug into. */
  readonly mouth?: Mouth;
}

export interface SnapInput {
  readonly viewport: Viewport;
  readonly project: Project;
  readonly snapping: Snapping;
  /** The path whose points are dragged, and which. */
  readonly path: string;
  readonly chosen: readonly number[];
  /** Pixels. */
  readonly x: number;
  readonly y: number;
}

/** What a point that is about to go to `to` catches on: ends and sockets before points, those before guides, the grid last. */
export function snap(to: Vec3, input: SnapInput): Snapped {
  const { viewport, project, snapping, path, chosen, x, y } = input;
  const near = (places: readonly Vec3[]): number => {
    let [best, least] = [-1, CATCH];
    places.forEach((place, i) => {
      const p = viewport.toScreen(place);
      const away = p.isAhead ? Math.hypot(p.x - x, p.y - y) : Infinity;
      if (away < least) [best, least] = [i, away];
    });
    return best;
  };
  if (snapping.points) {
    const own = project.paths.find(({ id }) => id === path)?.curve;
    const isEnd = own && !own.closed && chosen.length === 1 && (chosen[0] === 0 || chosen[0] === own.points.length - 1);
    const mouths = isEnd ? mouthsBeside(project, path) : [];
    const mouth = mouths[near(mouths.map(({ position }) => position))];
    if (mouth) return { place: mouth.position, on: 'end', mouth };
    const places = project.paths.flatMap(({ id, curve }) =>
      curve.points.filter((_, i) => id !== path || !chosen.includes(i)).map(({ position }) => position),
    );
    const point = places[near(places)];
    if (point) return { place: point, on: 'point' };
  }
  if (snapping.guides) {
    const middles = viewport.guideMiddles();
    const middle = middles[near(middles)];
    if (middle) return { place: middle, on: 'middle' };
    const hit = viewport.guideAt(x, y, { scenery: false });
    if (hit) return { place: add(hit.place, scale(hit.normal, snapping.clearance)), on: 'guide' };
  }
  const { grid } = snapping;
  if (grid === null) return { place: to };
  const whole = (v: number) => Number((Math.round(v / grid) * grid).toPrecision(12));
  return { place: [whole(to[0]), whole(to[1]), whole(to[2])], on: 'grid' };
}
