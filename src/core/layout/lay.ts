import { fail, ok, type Result } from '../math/result';
import { EXACT_FIT } from '../math/tolerance';
import type { Reach } from '../shape/reach';
import type { RuleInput } from './laying-rule';
import { MAX_PIECES } from './most-pieces';
import { layingRule, type RuleSpec } from './registry';

/** One laid piece, metres. */
export interface Placement {
  readonly piece: number;
  /** Whether it is the segment's head or tail, laid once, or its body. */
  readonly kind: 'head' | 'body' | 'tail';
  readonly station: number;
  /** Length along the path; natural length times the stretch. */
  readonly length: number;
  /** Natural length of what lies here. */
  readonly natural: number;
  /** Clear distance to the next piece, on a round to the first; 0 after the last. */
  readonly gap: number;
}

/** What stands where in a course. */
export interface Layout {
  readonly reach: Reach;
  readonly placements: readonly Placement[];
  /** The last piece meets the first. */
  readonly round: boolean;
  /** Metres from the last piece of the body to one that would come after it. */
  readonly gapAfter: number;
  /** Metres of the reach left bare at its end; negative = the pieces go beyond it. */
  readonly remainder: number;
}

/** Natural lengths of a segment: of what is laid once at either end, metres, 0 = none, and of the body that repeats between. */
export interface Lengths {
  readonly head?: number;
  readonly body: number;
  readonly tail?: number;
}

/** The path that is laid along. */
export interface LaidPath {
  readonly length: number;
  readonly closed: boolean;
}

/**
 * Works out where each piece starts and how long it becomes.
 * Problems: `laying.no-reach`, `laying.no-room` (head and tail need more than the reach), `laying.too-many` with `pieces` and `most`, `laying.pitch` (pieces overlap by their whole length).
 */
export function lay(rule: RuleSpec, lengths: Lengths, reach: Reach, path: LaidPath): Result<Layout> {
  const { head = 0, body: natural, tail = 0 } = lengths;
  const whole = reach.to - reach.from;
  const length = whole - head - tail;
  if (!(whole > path.length * 1e-9)) return fail('laying.no-reach', { from: reach.from, to: reach.to });
  if (!(length > path.length * 1e-9)) return fail('laying.no-room', { needed: head + tail, reach: whole });
  const round = path.closed && head + tail === 0 && length >= path.length * (1 - 1e-9);
  const input: RuleInput = { reach: length, natural, round };
  const gap = 'gap' in rule ? rule.gap : 0;
  if (gap <= -natural) return fail('laying.pitch', { gap, natural });
  const laid = layingRule(rule).lay(input, rule);
  if (laid.count > MAX_PIECES) return fail('laying.too-many', { pieces: laid.count, most: MAX_PIECES });
  // (1) The body, with the gaps between its pieces; what is off by rounding only is none.
  const start = reach.from + head;
  const spots = Array.from({ length: laid.count }, (_, i) => laid.at(i));
  const clearAfter = (i: number): number => {
    if (i + 1 === spots.length) return round ? laid.gapAfter : 0;
    const clear = spots[i + 1].start - spots[i].start - spots[i].length;
    return Math.abs(clear) <= length * ROUNDING ? 0 : clear;
  };
  const body = spots.map((spot, i): Omit<Placement, 'piece'> => {
    return { kind: 'body', station: start + spot.start, length: spot.length, natural, gap: clearAfter(i) };
  });
  // (2) Head and tail, and what is left.
  const last = spots[spots.length - 1];
  const covered = last.start + last.length + (round ? body[body.length - 1].gap : 0);
  const left = length - covered;
  const once = (kind: 'head' | 'tail', station: number, long: number) =>
    long > 0 ? [{ kind, station, length: long, natural: long, gap: 0 }] : [];
  const placements = [...once('head', reach.from, head), ...body, ...once('tail', start + covered, tail)].map(
    (placement, piece): Placement => ({ piece, ...placement }),
  );
  const { gapAfter: after } = laid;
  return ok({
    reach,
    placements,
    round,
    gapAfter: after,
    remainder: Math.abs(left) < length * EXACT_FIT * 2 ? 0 : left,
  });
}

/** Of the reach: what adding up so many lengths rounds. */
const ROUNDING = 1e-12;
