import { cross, length, normalize, X_AXIS, Y_AXIS, Z_AXIS, type Vec3 } from '../../core/math/vec3';

/** What holds a thing that is dragged; the first of a list lets it go wherever the pointer does. */
export interface Hold {
  readonly name: string;
  /** A unit vector: it goes along this only. */
  readonly line?: Vec3;
  /** A unit vector: it stays in the plane square to this. */
  readonly plane?: Vec3;
}

const FREE: Hold = { name: 'free' };
const LEVEL: Hold = { name: 'level', plane: Y_AXIS };
const UP: Hold = { name: 'up', line: Y_AXIS };

/** Things that no path leads through. */
export const PLACE_HOLDS: readonly Hold[] = [FREE, LEVEL, UP];

/** A point where the path runs along `forward`. */
export function pathHolds(forward: Vec3 | undefined): readonly Hold[] {
  if (!forward || length(forward) === 0) return PLACE_HOLDS;
  const across = cross(forward, Y_AXIS);
  return [
    FREE,
    LEVEL,
    { name: 'along the path', line: normalize(forward) },
    ...(length(across) > 1e-6 ? [{ name: 'across it', line: normalize(across) }] : []),
    UP,
  ];
}

/** Axes that points are turned about, and directions that they are scaled in. */
export const TURN_HOLDS: readonly Hold[] = [
  { name: 'as it is seen' },
  { name: 'about up', line: Y_AXIS },
  { name: 'about x', line: X_AXIS },
  { name: 'about z', line: Z_AXIS },
];
export const SCALE_HOLDS: readonly Hold[] = [
  { name: 'all ways' },
  LEVEL,
  UP,
  { name: 'x only', line: X_AXIS },
  { name: 'z only', line: Z_AXIS },
];
