import type { z } from 'zod';
import type { FrameTable } from '../frames/frame-table';
import type { FormField } from '../math/form-field';
import type { ShapeLane } from './shape-lane';

/** Something along the length that follows from how the path bends; adding one is a file in `followers/` and a line in its list. */
export interface Follower<S extends z.ZodType = z.ZodType> {
  readonly label: string;
  readonly hint: string;
  readonly schema: S;
  /** Options as they begin. */
  readonly defaults: z.infer<S>;
  readonly fields: readonly FormField[];
  lanes(table: FrameTable, options: z.infer<S>): readonly ShapeLane[];
}

export const defineFollower = <S extends z.ZodType>(follower: Follower<S>): Follower<S> => follower;
