import { AXES, type Vec3 } from '../../core/math/vec3';
import type { ViewName } from '../state/session-store';
import type { Viewport } from './viewport';

/**
 * Where a point goes when the pointer is at (x, y): along the ground, or up and down with the modifier; in the front and side
 * views in the plane of the view. `from` is where the point is now.
 */
export function dragTo(
  viewport: Viewport,
  view: ViewName,
  x: number,
  y: number,
  from: Vec3,
  isUpright: boolean,
): Vec3 | undefined {
  if (view === 'front' || view === 'side') {
    const hit = viewport.onPlane(x, y, from, view === 'front' ? [0, 0, 1] : [1, 0, 0]);
    return hit && (view === 'front' ? [hit[0], hit[1], from[2]] : [from[0], hit[1], hit[2]]);
  }
  if (!isUpright) {
    const hit = viewport.onPlane(x, y, from, [0, 1, 0]);
    return hit && [hit[0], from[1], hit[2]];
  }
  const [dx, , dz] = viewport.lookingAlong();
  const l = Math.hypot(dx, dz);
  if (l < 0.05) return undefined; // from straight above nothing goes up or down
  const hit = viewport.onPlane(x, y, from, [dx / l, 0, dz / l]);
  return hit && [from[0], hit[1], from[2]];
}

/** What a drag is held to: an axis, or the plane square to it. */
export interface Hold {
  readonly axis: 0 | 1 | 2;
  readonly isPlane: boolean;
}

/** As {@link dragTo}, held; undefined where the plane is seen from its edge. */
export function dragHeld(
  viewport: Viewport,
  view: ViewName,
  { axis, isPlane }: Hold,
  x: number,
  y: number,
  from: Vec3,
): Vec3 | undefined {
  const to = isPlane ? viewport.onPlane(x, y, from, AXES[axis]) : dragTo(viewport, view, x, y, from, axis === 1);
  return to && (to.map((v, c) => ((c === axis) === isPlane ? from[c]! : v)) as unknown as Vec3);
}
