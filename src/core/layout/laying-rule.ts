import type { z } from 'zod';
import type { Kind } from '../math/kind';
import type { Problem } from '../math/result';
import type { Chords } from './chords';
import type { PieceLengths } from './piece-lengths';

/**
 * What a rule gets. Places are metres from the start of the part that it lays, as the pieces' fit measures them: along the path or seen
 * from above.
 */
export interface RuleInput {
  /** Length of that part. */
  readonly reach: number;
  readonly lengths: PieceLengths;
  /** The reach goes once round a closed path, so that the last piece meets the first. */
  readonly round: boolean;
  /** Where the path's points lie, ascending. */
  readonly points: readonly number[];
  /** The place of a station, metres along the path. */
  placeOf(station: number): number;
  /** Metres that the path gains in height over the part, and the first place at which it has gained so much. */
  readonly rise: number;
  atRise(gained: number): number;
  /** How links of one length lie pin to pin. */
  chords(): Chords;
}

/** Where one piece of the body lies; metres. */
export interface Spot {
  readonly start: number;
  readonly length: number;
  /** How much of it is there, the rest being cut off; absent = all. */
  readonly shown?: number | undefined;
  /** By how much it is stretched, where its length does not say. */
  readonly stretch?: number | undefined;
}

/** Metres of it that are there. */
export const shownOf = ({ length, shown }: Spot): number => shown ?? length;

/** Pieces as a rule lays them, in order; asked for one by one, for a rule may want more than there can be. */
export interface Laid {
  readonly count: number;
  at(piece: number): Spot;
  /** Metres from the last piece to one that would come after it: the first again, on a round. */
  readonly gapAfter: number;
  /** The places of pins, flat xyz: one more than there are pieces. Absent = it knows of none. */
  readonly pins?: Float64Array;
  /** Why it cannot be laid so; nothing else counts then. */
  readonly refused?: Problem | undefined;
}

/** What rules are sorted by, in the order in which people are shown them. */
export const RULE_GROUPS = {
  fill: 'Fill the reach',
  number: 'By number or spacing',
  places: 'At places',
} as const;

/** How many pieces, where and how long; adding one is a file in `rules/` and a line in its list. */
export interface LayingRule<K extends string = string, S extends z.ZodType = z.ZodType> extends Kind<K, S> {
  readonly group: keyof typeof RULE_GROUPS;
  /** What its outcome is told by: what it evens out, or the number of pieces. */
  readonly tells: 'stretch' | 'gap' | 'count';
  /** It lays as many as it is told: a segment that could fill the reach by itself keeps its length. */
  readonly isCounted?: boolean;
  /** Pieces of their own length are meant to leave some of the reach bare. */
  readonly mayLeaveBare?: boolean;
  /** Its places are given: what parts a course does not part it. */
  readonly isPlaced?: boolean;
  lay(input: RuleInput, options: z.infer<S>): Laid;
}

export const defineLayingRule = <K extends string, S extends z.ZodType>(rule: LayingRule<K, S>): LayingRule<K, S> =>
  rule;

/** Pieces, each so many times its own length, with equal gaps; `before` = metres of the part before the first. */
export const evenPieces = (count: number, lengths: PieceLengths, factor: number, gap: number, before = 0): Laid => ({
  count,
  at: (piece) => ({ start: before + factor * lengths.sum(piece) + piece * gap, length: factor * lengths.of(piece) }),
  gapAfter: gap,
});

/** Gaps between `count` pieces. */
export const gapCount = (count: number, round: boolean): number => (round ? count : Math.max(0, count - 1));

/** The number of pieces with gaps between them that comes nearest to filling the reach; at least one. */
export function nearestCount(
  { reach, lengths, round }: Pick<RuleInput, 'reach' | 'lengths' | 'round'>,
  gap: number,
  rounded: (x: number) => number,
): number {
  const room = reach + (round ? 0 : gap);
  const end = (count: number) => lengths.sum(count) + count * gap;
  const pitch = (piece: number) => Math.max(lengths.of(piece) + gap, lengths.of(piece) * 1e-3);
  // A first guess, which is the answer where all have one length, then piece by piece.
  let whole = Math.min(Math.max(Math.floor(room / pitch(0)), 0), MOST_GUESSED);
  if (whole === MOST_GUESSED) return Math.max(1, rounded(room / pitch(0)));
  while (whole > 0 && end(whole) > room) whole--;
  while (whole < MOST_GUESSED && end(whole + 1) <= room) whole++;
  return Math.max(1, rounded(whole + (room - end(whole)) / pitch(whole)));
}

/** More than there may be: no need to add them up. */
const MOST_GUESSED = 1_000_000;
