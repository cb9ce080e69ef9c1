import type { Vec3 } from '../math/vec3';
import type { Reach } from '../shape/reach';

/** Where a run passes through another one, or through itself. Metres. */
export interface Crossing {
  /** The stretch of the run, and where it is deepest. */
  readonly from: number;
  readonly to: number;
  readonly station: number;
  /** The other run; absent = itself. */
  readonly run?: string | undefined;
  /** Where on the other, or on itself once more. */
  readonly other: number;
  /** How far the two reach into each other. */
  readonly depth: number;
  /** By how much the run would have to move up and sideways of its own frame to be clear, and how thick it may be there where it stays. */
  readonly up: number;
  readonly side: number;
  readonly gauge: number;
  /** Straight away from the other, as a unit vector of the scene. */
  readonly away: Vec3;
  /** Its path goes through points that can be moved. */
  readonly isDrawn: boolean;
  /** How far its section reaches from the path. */
  readonly half: number;
  /** The run's. */
  readonly reach: Reach;
}
