import type { CheckInput, CheckedGuide } from '../findings/finding';
import { GAUGE, SIDE, UP } from '../frames/frame-table';
import { eachFrame } from '../frames/tightness';
import { normalize, scale, sub, type Vec3 } from '../math/vec3';
import { reachTowards } from '../segment/support';
import type { SurfacePlace } from './surface';

/** How a run lies to a guide at a place of its path. Metres. */
export interface Clearance {
  readonly station: number;
  readonly place: Vec3;
  /** From the run's surface to the guide's; below 0 it passes through. */
  readonly gap: number;
  /** Unit: the way out of the guide. */
  readonly away: Vec3;
}

type Asked = Pick<CheckInput, 'table' | 'support' | 'job'> & {
  readonly reach: { readonly from: number; readonly to: number };
};

/** The greatest distance of a section from the path, metres. */
export function farthestOf(support: Float64Array): number {
  let half = 0;
  for (let i = 0; i < support.length; i += 2) half = Math.max(half, Math.hypot(support[i]!, support[i + 1]!));
  return half;
}

/**
 * Where a run comes nearer to a guide than `wanted` metres, along its reach: the distance of the path less the section's own reach towards
 * the guide. Places are at most `spacing` metres apart; those one after the other make up a stretch.
 */
export function tooNear(
  { table, support, job, reach }: Asked,
  guide: CheckedGuide,
  wanted: number,
  spacing: number,
): Clearance[][] {
  const { from, to } = reach;
  const { roll, turns, gauge } = job.bending;
  const half = farthestOf(support);
  const found: Clearance[][] = [];
  let isOpen = false;
  const look = (f: Float64Array, at: number, station: number): Clearance | undefined => {
    const place: Vec3 = [f[at]!, f[at + 1]!, f[at + 2]!];
    const size = gauge * f[at + GAUGE]!;
    const near = guide.surface.nearest(place, half * size + wanted) ?? around(guide, place);
    if (!near) return undefined;
    const away = awayFrom(near, place);
    const across = (k: number) => -(away[0] * f[at + k]! + away[1] * f[at + k + 1]! + away[2] * f[at + k + 2]!);
    const angle = roll + (2 * Math.PI * turns * (station - from)) / (to - from);
    const [u, s] = [across(UP), across(SIDE)];
    const [c, n] = [Math.cos(angle), Math.sin(angle)];
    const gap = near.distance - Math.max(size * reachTowards(support, u * c + s * n, s * c - u * n), 0);
    return gap < wanted - 1e-9 ? { station, place, gap, away } : undefined;
  };
  eachFrame(
    table,
    from,
    to,
    (f, at, station) => {
      const clearance = look(f, at, station);
      if (!clearance) isOpen = false;
      else if (isOpen) found[found.length - 1]!.push(clearance);
      else {
        found.push([clearance]);
        isOpen = true;
      }
    },
    { most: spacing },
  );
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
