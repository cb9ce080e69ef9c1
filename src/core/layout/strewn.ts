import type { Vec3 } from '../math/vec3';
import type { Shape } from '../shape/shape';
import type { Layout } from './layout';
import type { Place } from './fit';

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

/** A course that is strewn over another one, in the order of stations; as many of either. */
export interface StrewnLayout {
  readonly layout: Layout;
  readonly strewn: readonly Strewn[];
}
