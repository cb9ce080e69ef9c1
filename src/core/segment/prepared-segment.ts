import type { Box } from '../mesh/box';
import type { Mesh } from '../mesh/mesh';
import type { NamedAxes } from './find-axes';
import type { SeamFit } from './match-seams';
import type { StiffZone } from './stiff-zones';

/** A segment in segment space: +x forward from 0 to its natural length, vertices sorted along x. */
export interface PreparedSegment {
  readonly mesh: Mesh;
  /** Natural length, metres. */
  readonly length: number;
  /** The box in segment space. */
  readonly box: Box;
  /** First vertex of each row, and the vertex count at the end; vertices of a row share their x. */
  readonly rows: Uint32Array;
  readonly axes: NamedAxes;
  /** Pieces that touch cover each other's flat ends, so that those faces are never seen. */
  readonly endsMatch: boolean;
  readonly seam: SeamFit;
  /** Rows that are the second of two at one x: what lies behind them begins there, at a corner of the path. Absent = none. */
  readonly corners?: readonly number[];
  /** Intervals of x that keep their shape, ascending and apart. */
  readonly stiff: readonly StiffZone[];
  /** The segment in up to three: a head and a tail that are laid once, and the body between them. Absent = it is all body. */
  readonly cut?: { readonly head?: PreparedSegment; readonly body: PreparedSegment; readonly tail?: PreparedSegment };
  /** The mesh's own box in metres, before it was turned and moved. */
  readonly sourceBox: Box;
}

/** Greatest distance of the segment's surface from the path, square to it, metres. */
export function halfWidth({ min, max }: Box): number {
  return Math.hypot(Math.max(Math.abs(min[1]), Math.abs(max[1])), Math.max(Math.abs(min[2]), Math.abs(max[2])));
}
