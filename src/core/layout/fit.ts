import type { z } from 'zod';
import type { Kind } from '../math/kind';
import type { Rows } from '../segment/pieces/rows';
import type { PreparedSegment } from '../segment/prepared-segment';
import type { Shape } from '../shape/shape';
import type { MeasuredAlong } from './laid-path';
import type { Place } from './place';

/** How a piece sits on its path; adding one is a file in `fits/` and a line in its list. */
export interface Fit<K extends string = string, S extends z.ZodType = z.ZodType> extends Kind<K, S> {
  /** Its rows follow the path: it is sliced for that, and its ends meet those beside it. */
  readonly follows: boolean;
  /** Pieces are carried as one and keep their shape: many of them are one mesh at many places. */
  readonly isRigid?: boolean;
  /** Pieces lie on another course instead of one behind the other: no rule lays them. */
  readonly isStrewn?: boolean;
  /** It bends where the path ends and pieces go on beyond it: they need a row there. */
  turnsAtEnds?(options: z.infer<S>): boolean;
  /** Pieces that meet along the path do not meet in height. */
  readonly steps?: boolean;
  /** What pieces measure along. */
  measures(options: z.infer<S>): MeasuredAlong;
  /** Writes every row of `form`, the piece as it is worn. */
  fillRows(rows: Rows, form: PreparedSegment, shape: Shape, place: Place, options: z.infer<S>): void;
}

export const defineFit = <K extends string, S extends z.ZodType>(fit: Fit<K, S>): Fit<K, S> => fit;
