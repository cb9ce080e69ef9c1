import type { Vec3 } from '../math/vec3';

/** A place on a guide's surface. */
export interface SurfacePlace {
  readonly place: Vec3;
  /** Unit, outwards. */
  readonly normal: Vec3;
  /** Metres from what was asked for to the place; below 0 inside a closed guide. */
  readonly distance: number;
}

/** What paths ask of a guide. Metres; the engine answers through a bounding volume hierarchy. */
export interface Surface {
  /** The nearest place; undefined where there is none within `most` metres. */
  nearest(to: Vec3, most?: number): SurfacePlace | undefined;
  /** Where a ray first meets the surface from either side; the direction need not be a unit vector. */
  hit(from: Vec3, direction: Vec3): SurfacePlace | undefined;
}
