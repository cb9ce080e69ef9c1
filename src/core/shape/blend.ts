import type { Lane } from './lane';

/** How a lane goes from key to key; adding one is a file in `blends/` and a line in its list. */
export interface Blend<K extends string = string> {
  readonly kind: K;
  readonly label: string;
  /** A lane through values at stations that ascend and lie apart, metres; `period` = the length of a closed path. */
  lane(stations: readonly number[], values: readonly number[], period: number | undefined): Lane;
}

export const defineBlend = <K extends string>(blend: Blend<K>): Blend<K> => blend;
