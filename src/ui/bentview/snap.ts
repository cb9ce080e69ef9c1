import { endOf, type EndPlace, type PathEnd } from '../../core/curve/edit/end-leg';
import type { CurveSpec } from '../../core/curve/registry';
import { mouthOf } from '../../core/guides/build-guide';
import { add, scale, type Vec3 } from '../../core/math/vec3';
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
  readonly mouth?: EndPlace;
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
    const hit = viewport.guideAt(x, y);
    if (hit) return { place: add(hit.place, scale(hit.normal, snapping.clearance)), on: 'guide' };
  }
  const { grid } = snapping;
  if (grid === null) return { place: to };
  const whole = (v: number) => Number((Math.round(v / grid) * grid).toPrecision(12));
  return { place: [whole(to[0]), whole(to[1]), whole(to[2])], on: 'grid' };
}

const ends = new WeakMap<CurveSpec, Partial<Record<PathEnd, EndPlace | undefined>>>();

/** An end of a path, worked out once for as long as the path stays as it is: every move of a drag asks for all of them. */
function keptEnd(curve: CurveSpec, end: PathEnd): EndPlace | undefined {
  const known = ends.get(curve) ?? {};
  if (!(end in known)) known[end] = endOf(curve, end);
  ends.set(curve, known);
  return known[end];
}

/** Ends of other open paths, and sockets, with the way out of each. */
export function mouthsBeside(project: Project, path: string): (EndPlace & { readonly name: string })[] {
  const both: readonly PathEnd[] = ['start', 'end'];
  return [
    ...project.guides
      .filter(({ visible, shape }) => visible && shape.from === 'body' && shape.kind === 'socket')
      .map((guide) => ({ ...mouthOf(guide), name: guide.name })),
    ...project.paths
      .filter(({ id, curve }) => id !== path && !curve.closed)
      .flatMap(({ name, curve }) =>
        both.flatMap((end) => {
          const place = keptEnd(curve as CurveSpec, end);
          return place ? [{ ...place, name: `${end} of ${name}` }] : [];
        }),
      ),
  ];
}
