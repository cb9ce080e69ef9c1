import { z } from 'zod';
import type { Vec3 } from '../math/vec3';

/** Most metres from the origin, along each axis. */
const FARTHEST = 1e6;
const coordinate = z.number().min(-FARTHEST).max(FARTHEST);

/** Metres; each coordinate within a thousand kilometres of the origin. */
export const vec3Schema = z.tuple([coordinate, coordinate, coordinate]).readonly();

const POINT_MANNERS = ['corner', 'smooth', 'handles'] as const;
/** What a sharp corner is to a run, whatever the run says of its corners: cut in the plane that bisects it, or where a piece stands. */
const CORNERS = ['mitred', 'piece'] as const;

/** One point of a path. What a kind does not use it keeps, so that changing the kind and back loses nothing. */
export const pathPointSchema = z.strictObject({
  position: vec3Schema,
  /** Rounding radius at a corner between straight legs, metres. */
  radius: z.number().min(0).max(1e6).optional(),
  /** It stays sharp; absent = as the run has its corners. */
  corner: z.enum(CORNERS).optional(),
  /** Handles, relative to the position, metres. */
  handleIn: vec3Schema.optional(),
  handleOut: vec3Schema.optional(),
  /** The handles go their own ways: moving one leaves the other. */
  broken: z.literal(true).optional(),
  /** On a smooth path: the handles hold the tangent, until the point or a neighbour moves. */
  held: z.literal(true).optional(),
  /** Belongs to an end that is kept straight or plugged in: those of a straight leg go together, and no edit lets go of them by the way. */
  kept: z.literal(true).optional(),
  /** On a mixed path: what the curve does here; absent = smooth. */
  as: z.enum(POINT_MANNERS).optional(),
  /** On a mixed path: the leg after this point is straight. */
  straight: z.literal(true).optional(),
  /** How strongly the curve of a control polygon is pulled here; absent = 1. */
  weight: z.number().min(1e-3).max(1e3).optional(),
  /** The wheel of a belt here presses from outside. */
  outside: z.literal(true).optional(),
  /** The wheel of a belt here has so many teeth, and the radius of their pitch circle. */
  teeth: z.number().int().min(3).max(1000).optional(),
  /** Roll of the run here, radians, and its thickness as a factor; blended from point to point along the path. */
  roll: z.number().min(-1e4).max(1e4).optional(),
  gauge: z.number().min(1e-3).max(1e3).optional(),
});

export type PointCorner = (typeof CORNERS)[number];
export type PointManner = (typeof POINT_MANNERS)[number];

export interface PathPoint {
  readonly position: Vec3;
  readonly radius?: number | undefined;
  readonly corner?: PointCorner | undefined;
  readonly handleIn?: Vec3 | undefined;
  readonly handleOut?: Vec3 | undefined;
  readonly broken?: true | undefined;
  readonly held?: true | undefined;
  readonly kept?: true | undefined;
  readonly as?: PointManner | undefined;
  readonly straight?: true | undefined;
  readonly weight?: number | undefined;
  readonly outside?: true | undefined;
  readonly teeth?: number | undefined;
  readonly roll?: number | undefined;
  readonly gauge?: number | undefined;
}

/** The point as one that belongs to no kept end: the path goes on from it. */
export function withoutKept(point: PathPoint): PathPoint {
  const { kept, ...free } = point;
  return kept ? free : point;
}

/** The point without hold on its tangent, unless it belongs to an end that is kept as it is. */
export function letGo(point: PathPoint): PathPoint {
  const { held, ...free } = point;
  return held && !point.kept ? free : point;
}

/** The points of a path and whether its end joins its start. */
export interface PathShape {
  readonly closed: boolean;
  readonly points: readonly PathPoint[];
  /** What the kind asks for beside the points, by the keys of its fields. */
  readonly numbers?: Readonly<Record<string, number>> | undefined;
}

/** Most points that a path may have. */
export const MAX_PATH_POINTS = 20_000;

/** Whether a path may have these points: not too many, and none too far away. */
export const fitsPath = (points: readonly PathPoint[]): boolean =>
  points.length <= MAX_PATH_POINTS &&
  points.every(
    ({ position, handleIn, handleOut, radius = 0 }) =>
      isNear(position) && (!handleIn || isNear(handleIn)) && (!handleOut || isNear(handleOut)) && radius <= FARTHEST,
  );

const isNear = ([x, y, z]: Vec3): boolean =>
  Math.abs(x) <= FARTHEST && Math.abs(y) <= FARTHEST && Math.abs(z) <= FARTHEST;
