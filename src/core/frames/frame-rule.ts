import type { Surface } from '../guides/surface';
import type { Vec3 } from '../math/vec3';
import type { SteepReach } from './frame-table';

export interface FrameRuleInput {
  readonly intervals: number;
  /** Metres between samples. */
  readonly step: number;
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
  /** Reads positions and forwards of `frames`, writes its ups. */
  fillUps(frames: Float64Array, input: FrameRuleInput): FrameRuleOutcome;
}

export const defineFrameRule = <K extends string>(rule: FrameRule<K>): FrameRule<K> => rule;
