import { fail, ok, type Result } from '../math/result';
import { EXACT_FIT } from '../math/tolerance';
import { gapCount, type LayInput } from './laying-rule';
import { layingRule, MAX_PIECES, type LayingSpec } from './registry';

/** Metres along the path: the part that a run covers. */
export interface Reach {
  readonly from: number;
  readonly to: number;
}

/** One laid piece, metres. */
export interface Placement {
  readonly piece: number;
  /** Whether it is the segment's head or tail, laid once, or its body. */
  readonly kind: 'head' | 'body' | 'tail';
  readonly station: number;
  /** Length along the path; natural length times the stretch. */
  readonly length: number;
  /** Clear distance to the next piece; 0 after the last. */
  readonly gap: number;
}

export interface Laying {
  readonly reach: Reach;
  readonly placements: readonly Placement[];
  readonly natural: number;
  /** Laid over natural length; 1 = not stretched. */
  readonly stretch: number;
  readonly gap: number;
  /** Metres of the reach left bare at its end; negative = the pieces go beyond it. */
  readonly remainder: number;
}

/** The reach of a spec on a path of `pathLength` metres, kept on the path and in order. */
export function resolveReach({ from, to }: Pick<LayingSpec, 'from' | 'to'>, pathLength: number): Reach {
  const start = Math.min(from ?? 0, pathLength);
  return { from: start, to: Math.max(Math.min(to ?? pathLength, pathLength), start) };
}

/** Lengths of what is laid once at either end, metres; 0 = none. */
export interface LaidOnce {
  readonly head: number;
  readonly tail: number;
}

/**
 * Works out where each piece starts and how long it becomes.
 * `natural` is the length of the body, which repeats between head and tail.
 * Problems: `laying.no-reach`, `laying.no-room` (head and tail need more than the reach), `laying.too-many` with `pieces` and `most`, `laying.pitch` (pieces overlap by their whole length).
 */
export function lay(
  spec: LayingSpec,
  natural: number,
  pathLength: number,
  closed: boolean,
  { head, tail }: LaidOnce = { head: 0, tail: 0 },
): Result<Laying> {
  const reach = resolveReach(spec, pathLength);
  const whole = reach.to - reach.from;
  const length = whole - head - tail;
  if (!(whole > pathLength * 1e-9)) return fail('laying.no-reach', { from: reach.from, to: reach.to });
  if (!(length > pathLength * 1e-9)) return fail('laying.no-room', { needed: head + tail, reach: whole });
  const rule = layingRule(spec);
  const input: LayInput = {
    reach: length,
    natural,
    gap: rule.uses.gap ? spec.gap : 0,
    count: spec.count,
    countFit: spec.countFit,
    oneFit: spec.oneFit,
    round: closed && head + tail === 0 && length >= pathLength * (1 - 1e-9),
  };
  if (input.gap <= -natural) return fail('laying.pitch', { gap: input.gap, natural });
  const laid = rule.lay(input);
  if (laid.count > MAX_PIECES) return fail('laying.too-many', { pieces: laid.count, most: MAX_PIECES });
  const before = laid.before ?? 0;
  const start = reach.from + head + before;
  const body = Array.from({ length: laid.count }, (_, i): Omit<Placement, 'piece'> => {
    const gap = i + 1 < laid.count || input.round ? laid.gap : 0;
    return { kind: 'body', station: start + i * (laid.length + laid.gap), length: laid.length, gap };
  });
  const covered = laid.count * laid.length + gapCount(laid.count, input.round) * laid.gap;
  const left = length - before - covered;
  const once = (kind: 'head' | 'tail', station: number, long: number) =>
    long > 0 ? [{ kind, station, length: long, gap: 0 }] : [];
  const placements = [...once('head', reach.from, head), ...body, ...once('tail', start + covered, tail)].map(
    (placement, piece): Placement => ({ piece, ...placement }),
  );
  return ok({
    reach,
    placements,
    natural,
    stretch: laid.length / natural,
    gap: laid.gap,
    remainder: Math.abs(left) < length * EXACT_FIT * 2 ? 0 : left,
  });
}
