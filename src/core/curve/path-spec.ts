import { z } from 'zod';
import type { Vec3 } from '../math/vec3';

const coordinate = z.number().min(-1e6).max(1e6);

/** Metres; each coordinate within a thousand kilometres of the origin. */
export const vec3Schema = z.tuple([coordinate, coordinate, coordinate]).readonly();

/** One point of a path. What a kind does not use it keeps, so that changing the kind and back loses nothing. */
export const pathPointSchema = z.strictObject({
  position: vec3Schema,
  /** Rounding radius at a corner between straight legs, metres. */
  radius: z.number().min(0).max(1e6).optional(),
  /** Handles, relative to the position, metres. */
  handleIn: vec3Schema.optional(),
  handleOut: vec3Schema.optional(),
  /** On a smooth path: the handles hold the tangent, until the point or a neighbour moves. */
  held: z.literal(true).optional(),
});

export interface PathPoint {
  readonly position: Vec3;
  readonly radius?: number | undefined;
  readonly handleIn?: Vec3 | undefined;
  readonly handleOut?: Vec3 | undefined;
  readonly held?: true | undefined;
}

/** The point without hold on its tangent. */
export function letGo(point: PathPoint): PathPoint {
  const { held, ...free } = point;
  return held ? free : point;
}

/** The points of a path and whether its end joins its start. */
export interface PathShape {
  readonly closed: boolean;
  readonly points: readonly PathPoint[];
}

/** Most points that a path may have. */
export const MAX_PATH_POINTS = 20_000;
