import type { z } from 'zod';
import type { Kind } from '../math/kind';

/** Segments that the body of one course may be laid of. */
export const MOST_BODIES = 8;

/** Segments of a body go by letters: A, B, C. */
export const letterOf = (body: number): string => String.fromCharCode(65 + body);

/** Which segment is laid where; adding one is a file in `patterns/` and a line in its list. */
export interface Pattern<K extends string = string, S extends z.ZodType = z.ZodType> extends Kind<K, S> {
  /** The number of the segment that a piece of the body is of. */
  bodyOf(options: z.infer<S>): (piece: number) => number;
}

export const definePattern = <K extends string, S extends z.ZodType>(pattern: Pattern<K, S>): Pattern<K, S> => pattern;
