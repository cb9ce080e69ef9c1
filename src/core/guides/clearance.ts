import type { CheckInput, CheckedGuide } from '../findings/finding';
import { FRAME_STRIDE, GAUGE, SIDE, UP } from '../frames/frame-table';
import { normalize, scale, sub, type Vec3 } from '../math/vec3';
import { reachTowards } from '../segment/support';
import type { SurfacePlace } from './surface';

/** How a run lies to a guide at a sample of its path. Metres. */
export interface Clearance {
  readonly sample: number;
  /** From the run's surface to the guide's; below 0 it passes through. */
  readonly gap: number;
  /** Unit: the way out of the guide. */
  readonly away: Vec3;
}

type Asked = Pick<CheckInput, 'table' | 'support' | 'job'> & {
  readonly reach: { readonly from: number; readonly to: number };
};

/**
 * Samples at which a run comes nearer to a guide than `wanted` metres, along its reach: the distance of the path less the section's own
 * reach towards the guide.
 */
export function tooNear({ table, support, job, reach }: Asked, guide: CheckedGuide, wanted: number): Clearance[] {
  const { frames: f, step, intervals } = table;
  const { from, to } = reach;
  const { roll, turns, gauge } = job.bending;
  let half = 0;
  for (let i = 0; i < support.length; i += 2) half = Math.max(half, Math.hypot(support[i]!, support[i + 1]!));
  const found: Clearance[] = [];
  const last = Math.min(Math.floor(to / step + 1e-9), intervals);
  for (let i = Math.max(Math.ceil(from / step - 1e-9), 0); i <= last; i++) {
    const at = i * FRAME_STRIDE;
    const place: Vec3 = [f[at]!, f[at + 1]!, f[at + 2]!];
    const size = gauge * f[at + GAUGE]!;
    const near = guide.surface.nearest(place, half * size + wanted) ?? around(guide, place);
    if (!near) continue;
    const away = awayFrom(near, place);
    const across = (k: number) => -(away[0] * f[at + k]! + away[1] * f[at + k + 1]! + away[2] * f[at + k + 2]!);
    const angle = roll + (2 * Math.PI * turns * (i * step - from)) / (to - from);
    const [u, s] = [across(UP), across(SIDE)];
    const [c, n] = [Math.cos(angle), Math.sin(angle)];
    const gap = near.distance - Math.max(size * reachTowards(support, u * c + s * n, s * c - u * n), 0);
    if (gap < wanted - 1e-9) found.push({ sample: i, gap, away });
  }
  return found;
}

/** Deep inside a guide nothing of it is near: there the nearest place counts all the same. */
function around(guide: CheckedGuide, place: Vec3): SurfacePlace | undefined {
  const near = guide.surface.nearest(place);
  return near && near.distance < 0 ? near : undefined;
}

function awayFrom({ place: on, normal, distance }: SurfacePlace, place: Vec3): Vec3 {
  return Math.abs(distance) < 1e-9 ? normal : scale(normalize(sub(place, on), normal), Math.sign(distance));
}
