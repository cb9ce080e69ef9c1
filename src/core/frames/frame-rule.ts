import type { Surface } from '../mesh/surface';
import type { Vec3 } from '../math/vec3';
import type { SteepReach } from './frame-table';

export interface FrameRuleInput {
  /** Metres: of every sample, never descending, from 0 to the length. */
  readonly stations: Float64Array;
  /** The last sample meets the first. */
  readonly closed: boolean;
  /** Direction that counts as up; need not be a unit vector. */
  readonly up: Vec3;
  /** The guide that a run may sit on; absent = there is none. */
  readonly surface?: Surface | undefined;
}

export interface FrameRuleOutcome {
  /** Radians spread over a closed path so that it closes. */
  readonly closingTwist: number;
  readonly steep: readonly SteepReach[];
}

/** A rule that gives every sample of a frame table its up vector, square to forward. */
export interface FrameRule<K extends string = string> {
  readonly kind: K;
  readonly label: string;
  readonly hint: string;
  /** Samples at the least, evenly along a path, where the rule asks more than the path itself. */
  readonly leastSamples?: number;
  /** Reads positions, forwards and curvatures of `frames`, writes its ups. */
  fillUps(frames: Float64Array, input: FrameRuleInput): FrameRuleOutcome;
}

export const defineFrameRule = <K extends string>(rule: FrameRule<K>): FrameRule<K> => rule;
