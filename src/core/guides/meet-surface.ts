import { fillFrame } from '../frames/fill-frame';
import { FORWARD, FRAME_STRIDE, SIDE, UP, type FrameTable, type Kink } from '../frames/frame-table';
import type { Surface } from '../mesh/surface';
import { dot, scale, sub, type Vec3 } from '../math/vec3';
import { MITRE_LIMIT } from '../math/tolerance';

/** How far beyond its end a path is drawn on to reach a surface, as a share of its length. */
const FARTHEST = 4;
/** Looks at the surface along a path; what is thinner than that share of it may be missed. */
const LOOKS = 600;

/** Where a path meets a surface: beyond [0, length] it has to be drawn on straight. Metres. */
export interface Meeting {
  readonly station: number;
  readonly normal: Vec3;
}

/**
 * Where a path first meets a surface on the way from its middle to one of its ends, or straight on beyond that. Undefined where it does neither within
 * some lengths of the path.
 */
export function meetSurface(table: FrameTable, surface: Surface, end: 'start' | 'end'): Meeting | undefined {
  const { length } = table;
  const frame = new Float64Array(FRAME_STRIDE);
  const way = end === 'end' ? 1 : -1;
  const step = length / LOOKS;
  const at = (station: number) => {
    fillFrame(frame, 0, table, station, end === 'start');
    const place: Vec3 = [frame[0], frame[1], frame[2]];
    const ahead: Vec3 = [frame[FORWARD] * way, frame[FORWARD + 1] * way, frame[FORWARD + 2] * way];
    return { place, ahead };
  };
  const middle = length / 2;
  for (let station = middle; (station - middle) * way < length / 2; station += step * way) {
    const next = (station + step * way - middle) * way < length / 2 ? station + step * way : end === 'end' ? length : 0;
    const [a, b] = [at(station), at(next)];
    const chord = sub(b.place, a.place);
    const hit = surface.hit(a.place, chord);
    const long = Math.hypot(...chord);
    if (hit && hit.distance <= long) return refined(station + (way * Math.abs(next - station) * hit.distance) / long);
  }
  const tip = at(end === 'end' ? length : 0);
  const beyond = surface.hit(tip.place, tip.ahead);
  if (!beyond || beyond.distance > length * FARTHEST) return undefined;
  return { station: end === 'end' ? length + beyond.distance : -beyond.distance, normal: beyond.normal };

  /** From a little before a place along the path's own direction, until that changes nothing. */
  function refined(guess: number): Meeting | undefined {
    let station = guess;
    let normal: Vec3 | undefined;
    for (let round = 0; round < 6; round++) {
      const { place, ahead } = at(station - way * step);
      const hit = surface.hit(place, ahead);
      if (!hit) break;
      normal = hit.normal;
      // Along the bend, not along its tangent: what is left is off by the square of the step.
      const on = at(station);
      const off = dot(sub(hit.place, on.place), normal) / (dot(on.ahead, normal) || 1);
      const near = surface.nearest(on.place, step);
      const left = near ? -dot(sub(on.place, near.place), near.normal) / (dot(on.ahead, near.normal) || 1) : off;
      if (near) ({ normal } = near);
      station += way * left;
      if (Math.abs(left) < length * 1e-12) break;
    }
    return normal && { station, normal };
  }
}

/** A surface that a path grazes more flatly than mitres go is met square to the path. */
const LEAST_COSINE = 1 / Math.hypot(1, MITRE_LIMIT);

/** How the rows of an end lean into a surface that has this normal at a station; undefined where it is grazed. */
export function flushEnd(table: FrameTable, { station, normal }: Meeting): Kink | undefined {
  const own = new Float64Array(FRAME_STRIDE);
  fillFrame(own, 0, table, station, station > table.length / 2);
  const vec = (at: number): Vec3 => [own[at], own[at + 1], own[at + 2]];
  const forward = vec(FORWARD);
  const cosine = dot(forward, normal);
  if (Math.abs(cosine) < LEAST_COSINE) return undefined;
  // A direction across the path, slid along it into the plane.
  const slid = (at: number): Vec3 => sub(vec(at), scale(forward, dot(vec(at), normal) / cosine));
  const angle = 2 * Math.acos(Math.min(Math.abs(cosine), 1));
  return { station, angle, before: 0, after: 0, up: slid(UP), side: slid(SIDE), own };
}
