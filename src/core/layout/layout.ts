import type { Reach } from '../shape/reach';
import type { LayingSpec } from './laying-spec';
import type { Placement } from './placement';

/** What stands where in a course. */
export interface Layout {
  readonly reach: Reach;
  readonly placements: readonly Placement[];
  /** The last piece meets the first. */
  readonly round: boolean;
  /** Metres from the last piece of the body to one that would come after it. */
  readonly gapAfter: number;
  /** Metres of the reach left bare before the first piece and behind the last; negative = the pieces go beyond it. */
  readonly before: number;
  readonly remainder: number;
  /** Of links that are pinned: the places of their pins, flat xyz, one more than there are pieces, and the metres from one to the next. */
  readonly pinned?: { readonly pins: Float64Array; readonly pitch: number };
}

/** Natural lengths, metres: of what is laid once at either end, 0 = none, of the segments of the body, and of what stands at joints. */
export interface Lengths {
  readonly head?: number;
  readonly bodies: readonly number[];
  readonly tail?: number;
  readonly joint?: number;
}

export type LayingJob = Omit<LayingSpec, 'variation'>;
