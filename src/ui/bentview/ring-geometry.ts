import { add, dot, scale, sub, type Vec3 } from '../../core/math/vec3';
import { firstAfter } from '../../core/math/first-after';
import type { Box } from '../../core/mesh/box';
import type { PathView } from '../../engine/path-view';
import { forwardAt, placeAt } from './nearest-station';

/** Places round a ring. */
const ROUND = 64;
/** Of what the section reaches: how far out the ring lies, and least and most of the distance to the eye that it may take. */
const OUT = 1.35;

/** A ring about a run at a station: its middle, the run's own up and side there, and how large it is. Metres. */
export interface Ring {
  readonly middle: Vec3;
  readonly up: Vec3;
  readonly side: Vec3;
  readonly forward: Vec3;
  readonly radius: number;
  /** How far the section reaches up and sideways, with its gauge. */
  readonly reachUp: number;
  readonly reachSide: number;
}

/** The ring at a station for a segment with a box, so many times as thick. */
export function ringAt(path: PathView, station: number, { min, max }: Box, gauges: readonly [number, number]): Ring {
  const i = Math.min(Math.max(firstAfter(path.stations, station) - 1, 0), path.stations.length - 1) * 3;
  const at = (of: Float32Array): Vec3 => [of[i], of[i + 1], of[i + 2]];
  const reachUp = Math.max(max[1], -min[1], 1e-4) * gauges[0];
  const reachSide = Math.max(max[2], -min[2], 1e-4) * gauges[1];
  return {
    middle: placeAt(path, station),
    up: at(path.ups),
    side: at(path.sides),
    forward: forwardAt(path, station)!,
    radius: OUT * Math.max(reachUp, reachSide),
    reachUp,
    reachSide,
  };
}

/** Places round the ring, the first one upwards, the last one the first again. */
export const roundOf = ({ middle, up, side, radius }: Ring): readonly Vec3[] =>
  Array.from({ length: ROUND + 1 }, (_, i) => {
    const turn = (2 * Math.PI * i) / ROUND;
    return add(middle, add(scale(up, radius * Math.cos(turn)), scale(side, radius * Math.sin(turn))));
  });

/** Radians from up towards the side at which a place lies. */
export function turnOf({ middle, up, side }: Ring, place: Vec3): number {
  const away = sub(place, middle);
  return Math.atan2(dot(away, side), dot(away, up));
}
