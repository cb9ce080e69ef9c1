import type { z } from 'zod';
import type { Kind } from '../math/kind';

/** What a rule gets: lengths in metres. */
export interface RuleInput {
  /** Length of the part of the path that the body of a course covers. */
  readonly reach: number;
  /** The segment's natural length. */
  readonly natural: number;
  /** The reach goes once round a closed path, so that the last piece meets the first. */
  readonly round: boolean;
}

/** Where one piece of the body lies, from the start of the body's part of the reach; metres. */
export interface Spot {
  readonly start: number;
  readonly length: number;
}

/** Pieces as a rule lays them, in order; asked for one by one, for a rule may want more than there can be. */
export interface Laid {
  readonly count: number;
  at(piece: number): Spot;
  /** Metres from the last piece to one that would come after it: the first again, on a round. */
  readonly gapAfter: number;
}

/** How many pieces, where and how long; adding one is a file in `rules/` and a line in its list. */
export interface LayingRule<K extends string = string, S extends z.ZodType = z.ZodType> extends Kind<K, S> {
  /** What its outcome is told by: what it evens out, or the number of pieces. */
  readonly tells: 'stretch' | 'gap' | 'count';
  /** It lays as many as it is told: a segment that could fill the reach by itself keeps its length. */
  readonly isCounted?: boolean;
  /** Pieces of their own length are meant to leave some of the reach bare. */
  readonly mayLeaveBare?: boolean;
  lay(input: RuleInput, options: z.infer<S>): Laid;
}

export const defineLayingRule = <K extends string, S extends z.ZodType>(rule: LayingRule<K, S>): LayingRule<K, S> =>
  rule;

/** Equal pieces with equal gaps; `before` = metres of the reach before the first. */
export const equalPieces = (count: number, length: number, gap: number, before = 0): Laid => ({
  count,
  at: (piece) => ({ start: before + piece * (length + gap), length }),
  gapAfter: gap,
});

/** Gaps between `count` pieces. */
export const gapCount = (count: number, round: boolean): number => (round ? count : Math.max(0, count - 1));

/** The number of pieces of pitch natural + gap that comes nearest to filling the reach; at least one. */
export function nearestCount(
  { reach, natural, round }: RuleInput,
  gap: number,
  rounded: (x: number) => number,
): number {
  const pitch = Math.max(natural + gap, natural * 1e-3);
  return Math.max(1, rounded((reach + (round ? 0 : gap)) / pitch));
}
