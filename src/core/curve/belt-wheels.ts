import { add, anyNormal, cross, dot, length, normalize, scale, sub, type Vec3 } from '../math/vec3';
import type { Wheel } from './belt';
import { fieldValue } from './curve-kind';
import { toDistinctPoints } from './distinct-points';
import type { PathPoint, PathShape } from './path-spec';

/** Metres: of a wheel whose point has no radius yet. */
export const WHEEL_RADIUS = 0.3;

/** Metres between the teeth of wheels that have some, which is that of the links they carry. */
export const PITCH = {
  key: 'pitch',
  label: 'Pitch of the teeth',
  unit: 'm',
  initial: 0.1,
  min: 1e-3,
  max: 100,
  step: 0.005,
  appliesTo: ({ points }: PathShape) => points.some(({ teeth }) => teeth !== undefined),
} as const;

/** Metres: the radius at which a belt runs round a wheel. With z teeth of pitch p it is p / (2 sin(pi / z)) (ISO 606, pitch diameter). */
export function wheelRadius({ radius = WHEEL_RADIUS, teeth }: PathPoint, path: Pick<PathShape, 'numbers'>): number {
  return teeth === undefined ? Math.max(radius, 1e-6) : fieldValue(path, PITCH) / (2 * Math.sin(Math.PI / teeth));
}

/** The wheels in their plane. */
export function flatWheels(points: readonly PathPoint[], shape: PathShape) {
  const plane = planeOf(points);
  const { origin, e1, e2 } = plane;
  const wheels = points.map((point): Wheel => {
    const d = sub(point.position, origin);
    return { x: dot(d, e1), y: dot(d, e2), radius: wheelRadius(point, shape), side: point.outside ? -1 : 1 };
  });
  return { ...plane, wheels };
}

/** A wheel of a belt in the scene: its middle, the direction of its axle, and the radius at which the belt runs, metres. */
export interface BeltWheel {
  readonly middle: Vec3;
  readonly axle: Vec3;
  readonly radius: number;
  readonly teeth: number | undefined;
  /** The way in which the belt turns it about its axle. */
  readonly way: 1 | -1;
  /** The point of the path that it stands at. */
  readonly point: number;
}

/** The wheels of a belt that lies taut, one for each point that is a wheel of its own. */
export function beltWheels(shape: PathShape): readonly BeltWheel[] {
  const { points, from } = toDistinctPoints(shape);
  if (points.length < 2) return [];
  const { origin, e1, e2, wheels } = flatWheels(points, shape);
  return wheels.map(({ x, y, radius, side }, i) => ({
    middle: add(origin, add(scale(e1, x), scale(e2, y))),
    axle: cross(e1, e2),
    radius,
    teeth: points[i].teeth,
    way: side,
    point: from.indexOf(i),
  }));
}

/** The plane nearest to the wheels' middles (Newell's normal); where they lie on a line, the one upright along it. */
function planeOf(points: readonly PathPoint[]): { origin: Vec3; e1: Vec3; e2: Vec3 } {
  const p = points.map(({ position }) => position);
  const origin = p[0];
  let normal: Vec3 = [0, 0, 0];
  let size = 0;
  p.forEach((a, i) => {
    normal = add(normal, cross(sub(a, origin), sub(p[(i + 1) % p.length], origin)));
    size = Math.max(size, length(sub(a, origin)));
  });
  const e1 = normalize(sub(p[1], origin));
  const isLine = length(normal) < 1e-9 * size * size;
  const across = isLine ? cross(e1, Math.abs(e1[1]) > 0.999 ? [1, 0, 0] : anyNormal(e1)) : normalize(normal);
  // Square to e1, which lies in the plane only nearly.
  const n = normalize(sub(across, scale(e1, dot(across, e1))));
  return { origin, e1, e2: cross(n, e1) };
}
