import type { Vec3 } from '../../core/math/vec3';

/** Metres that an arrow key moves a point. */
const NUDGE = 0.1;

/** Where an arrow key moves a point: over the ground, or up and down. */
export function nudge(key: string, isUpright: boolean): Vec3 | undefined {
  if (key === 'ArrowLeft') return [-NUDGE, 0, 0];
  if (key === 'ArrowRight') return [NUDGE, 0, 0];
  if (key === 'ArrowUp') return isUpright ? [0, NUDGE, 0] : [0, 0, -NUDGE];
  if (key === 'ArrowDown') return isUpright ? [0, -NUDGE, 0] : [0, 0, NUDGE];
  return undefined;
}
