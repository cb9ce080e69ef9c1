import { add, dot, length, normalize, scale, sub, type Vec3 } from '../../core/math/vec3';
import type { ViewName } from '../state/session-store';
import type { Hold } from './holds';
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

/** Where a held drag goes: the pointer's place along `line` through `from`, or in the plane square to `plane`; undefined where that is seen end on. */
export function dragHeld(viewport: Viewport, hold: Hold, x: number, y: number, from: Vec3): Vec3 | undefined {
  if (hold.plane) return viewport.onPlane(x, y, from, hold.plane);
  if (!hold.line) return undefined;
  const look = viewport.lookingAlong();
  const facing = sub(look, scale(hold.line, dot(look, hold.line)));
  if (length(facing) < END_ON) return undefined;
  const hit = viewport.onPlane(x, y, from, normalize(facing));
  return hit && add(from, scale(hold.line, dot(sub(hit, from), hold.line)));
}

/** A line that leaves the eye by less than this is seen as a dot: nothing can be dragged along it. */
const END_ON = 0.05;
