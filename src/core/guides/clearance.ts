import { normalize, scale, sub, type Vec3 } from '../math/vec3';
import type { Surface, SurfacePlace } from '../mesh/surface';
import { reachTowards } from '../segment/support';
import { eachFrameOn, reachOn } from '../shape/frame-on';
import { sectionReach } from '../shape/section-reach';
import type { Shape } from '../shape/shape';

/** How a run lies to a guide at a place of its path. Metres. */
export interface Clearance {
  readonly station: number;
  readonly place: Vec3;
  /** From the run's surface to the guide's; below 0 it passes through. */
  readonly gap: number;
  /** Unit: the way out of the guide. */
  readonly away: Vec3;
}

/** A guide, and how far runs are to keep away from it. */
export interface CheckedGuide {
  readonly id: string;
  /** Metres; null = it is not checked. */
  readonly clearance: number | null;
  readonly surface: Surface;
}

/** The greatest distance of a section from the path, metres. */
export function farthestOf(support: Float64Array): number {
  let half = 0;
  for (let i = 0; i < support.length; i += 2) half = Math.max(half, Math.hypot(support[i], support[i + 1]));
  return half;
}

/**
 * Where a run comes nearer to a guide than `wanted` metres, along its reach: the distance of the path less the section's own reach towards
 * the guide. Places are at most `spacing` metres apart; those one after the other make up a stretch.
 */
export function tooNear(
  { shape, support }: { readonly shape: Shape; readonly support: Float64Array },
  guide: CheckedGuide,
  wanted: number,
  spacing: number,
): Clearance[][] {
  const { from, to } = shape.reach;
  const half = farthestOf(support);
  const found: Clearance[][] = [];
  let isOpen = false;
  const look = (frame: Float64Array, station: number): Clearance | undefined => {
    const place: Vec3 = [frame[0], frame[1], frame[2]];
    const near = guide.surface.nearest(place, reachOn(frame, half) + wanted) ?? around(guide, place);
    if (!near) return undefined;
    const away = awayFrom(near, place);
    const reach = sectionReach((y, z) => reachTowards(support, y, z), frame, -away[0], -away[1], -away[2]);
    const gap = near.distance - Math.max(reach, 0);
    return gap < wanted - 1e-9 ? { station, place, gap, away } : undefined;
  };
  eachFrameOn(
    shape,
    from,
    to,
    (frame, station) => {
      const clearance = look(frame, station);
      if (!clearance) isOpen = false;
      else if (isOpen) found[found.length - 1].push(clearance);
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
