import { drawOn, redrawPart, strokePoints } from '../../core/edit/stroke';
import type { CurveSpec } from '../../core/curve/registry';
import type { Vec3 } from '../../core/math/vec3';
import type { PathView } from '../../engine/path-view';
import { nearestStation, placeAt } from './nearest-station';
import type { Viewport } from './viewport';

/** Pixels: how near a stroke must begin or end to mean the path. */
export const NEAR = 14;

/** Where a stroke begins or ends on a path: metres along it, and which of its ends that is. */
export interface Touch {
  readonly station: number;
  readonly end?: 'start' | 'end' | undefined;
}

/** The path's place under a pixel; its open ends before what lies beside them. */
export function touchAt(viewport: Viewport, view: PathView, x: number, y: number): Touch | undefined {
  const ends = view.closed ? [] : (['start', 'end'] as const);
  for (const end of ends) {
    const station = end === 'start' ? 0 : view.length;
    const p = viewport.toScreen(placeAt(view, station));
    if (p.isAhead && Math.hypot(p.x - x, p.y - y) < NEAR) return { station, end };
  }
  const station = nearestStation(viewport, view, x, y, NEAR);
  return station === undefined ? undefined : { station };
}

/**
 * The path after a stroke: it goes on from an end where the stroke begins or ends there and is free at the other side, is closed by one from
 * end to end, and drawn anew between two places of it. Undefined: the stroke is a path of its own.
 */
export function strokeOn(
  spec: CurveSpec,
  view: PathView,
  places: readonly Vec3[],
  { from, to }: { readonly from: Touch | undefined; readonly to: Touch | undefined },
  tolerance: number,
): CurveSpec | undefined {
  if (from?.end && to?.end && from.end !== to.end) return drawOn(spec, from.end, places, tolerance, true);
  if (from?.end && !to) return drawOn(spec, from.end, places, tolerance);
  if (to?.end && !from) return drawOn(spec, to.end, [...places].reverse(), tolerance);
  if (!from || !to || !(Math.abs(to.station - from.station) > view.length * 1e-3)) return undefined;
  const heights = [placeAt(view, from.station)[1], placeAt(view, to.station)[1]] as const;
  return redrawPart(spec, levelled(places, heights[0], heights[1]), from.station, to.station, tolerance);
}

/** A stroke as a path of its own. */
export const strokeAlone = (places: readonly Vec3[], tolerance: number): CurveSpec => ({
  kind: 'handles',
  closed: false,
  points: strokePoints(places, tolerance),
});

/** The stroke lifted evenly, so that it begins and ends as high as the path does there. */
function levelled(places: readonly Vec3[], from: number, to: number): readonly Vec3[] {
  const last = places.length - 1;
  const [a, b] = [from - places[0][1], to - places[last][1]];
  return places.map(([x, y, z], i): Vec3 => [x, y + a + ((b - a) * i) / last, z]);
}
