import type { Vec3 } from '../math/vec3';
import type { Shape } from '../shape/shape';

/** Where a piece lies. */
export interface Place {
  /** Metres: the station of its x = 0. */
  readonly station: number;
  /** Metres along the path per metre of segment. */
  readonly factor: number;
  /** What motion makes of lengths; 1 = nothing. */
  readonly scale: number;
  /** Metres: how long the piece is by itself, whatever of it is left. */
  readonly natural: number;
  /** Metres along the path of its end over which the next piece lies. */
  readonly overlap: number;
  /** The places of its two pins, flat xyz, where it is pinned. */
  readonly pins?: Float64Array | undefined;
  /** Where it stands on another course, where it is strewn. */
  readonly strewn?: Strewn | undefined;
}

/** Where something stands on a surface: unit vectors, metres from the table's origin. */
export interface Stand {
  readonly position: Vec3;
  readonly normal: Vec3;
  /** Along the path, roughly: not square to the normal. */
  readonly forward: Vec3;
}

/** How one strewn piece lies on another course's, wherever that has moved. */
export interface Strewn {
  readonly standOn: (shape: Shape, place: Place) => Stand;
  /** Radians about the normal, and away from it towards a direction. */
  readonly spin: number;
  readonly tilt: number;
  readonly towards: number;
}
