import { fail, ok, type Result } from '../math/result';
import { firstAfter } from '../math/first-after';
import { lazy } from '../math/lazy';
import type { LaidPath } from './laid-path';
import type { LayingJob, Layout, Lengths } from './layout';
import { shownOf, type RuleInput } from './laying-rule';
import { partCourse, type Leg } from './legs';
import { MAX_PIECES } from './most-pieces';
import { patternOf } from './pattern-registry';
import { lengthsFrom, mixedLengths, sameLengths, type PieceLengths } from './piece-lengths';
import type { Spotted } from './placement';
import { layingRule } from './registry';

/** The body of a course laid, with what stands at its joints. Metres. */
export interface LaidBody extends Pick<Layout, 'gapAfter' | 'before' | 'pinned'> {
  readonly spotted: readonly Spotted[];
  readonly isRound: boolean;
  readonly left: number;
}

export interface BodyPart {
  readonly path: LaidPath;
  readonly start: number;
  readonly end: number;
  readonly round: boolean;
}

/**
 * Lays the body part by part by its rule, its segments as the pattern says.
 * Problems: `laying.too-many` with `pieces` and `most`, `laying.pitch` (pieces overlap by their whole length), `laying.no-segment` (a pattern asks for
 * a segment that is not there), `laying.none`, `laying.short-leg`, and those of the rule.
 */
export function layBody(job: LayingJob, lengths: Lengths, part: BodyPart): Result<LaidBody> {
  const { rule, joints } = job;
  const { path, start, end, round } = part;
  const { bodies, joint = 0 } = lengths;
  const bodyOf = patternOf(job.pattern).bodyOf(job.pattern);
  const gap = 'gap' in rule ? rule.gap : 0;
  if (gap <= -Math.min(...bodies)) return fail('laying.pitch', { gap, natural: Math.min(...bodies) });
  for (let i = 0; i < LOOKED_AT; i++)
    if (bodyOf(i) >= bodies.length) return fail('laying.no-segment', { body: bodyOf(i), bodies: bodies.length });
  const isSame = job.pattern.kind === 'same';
  const all = isSame ? sameLengths(bodies[0]) : mixedLengths((piece) => bodies[bodyOf(piece)]);
  const own = layingRule(rule);
  const parted = own.isPlaced ? ok<readonly Leg[]>([{ start, end }]) : partCourse({ ...part, joints, piece: joint });
  if (!parted.ok) return parted;
  const legs = parted.value;
  const isRound = round && legs.length === 1 && legs[0].joint === undefined;
  const laidOut: Ungapped[] = [];
  let [count, gapAfter] = [0, 0];
  let pinned: Layout['pinned'];
  // Where nothing stands in a joint, what comes to it on either side meets.
  const isFree = (isBare = false) => isBare || (joint === 0 && joints.clear === 0);
  for (const leg of legs) {
    const input = inputOf(leg, path, { lengths: lengthsFrom(all, count), round: isRound });
    const laid = own.lay(input, rule);
    if (laid.refused) return { ok: false, problems: [laid.refused] };
    if (count + laid.count > MAX_PIECES)
      return fail('laying.too-many', { pieces: count + laid.count, most: MAX_PIECES });
    for (let i = 0; i < laid.count; i++) {
      const { start: from, length, shown, stretch } = laid.at(i);
      const body = bodyOf(count + i);
      const isFirst = i === 0 && from < input.reach * NEAR;
      const isLast = i === laid.count - 1 && from + length > input.reach * (1 - NEAR);
      const meets = meetsOf(leg, isFirst && isFree(leg.isAfterBare), isLast && isFree(leg.isBare));
      const spot = { start: leg.start + from, length, shown, stretch };
      const isPartEnd = leg.joint !== undefined && i === laid.count - 1;
      laidOut.push({ kind: 'body', body, spot, natural: bodies[body], meets, isPartEnd });
    }
    if (laid.pins && legs.length === 1) pinned = { pins: laid.pins, pitch: all.of(0) + gap };
    count += laid.count;
    gapAfter = laid.gapAfter;
    if (leg.joint !== undefined && joint > 0 && !leg.isBare) {
      const spot = { start: leg.joint - joint / 2, length: joint };
      const kind = joints.at === 'points' ? 'post' : 'corner';
      laidOut.push({ kind, body: 0, spot, natural: joint, meets: undefined, isPartEnd: false });
    }
  }
  if (count === 0) return fail('laying.none');
  // A round that is parted begins behind its first joint, and ends where it began.
  const [first, last] = [laidOut[0].spot, laidOut[laidOut.length - 1].spot];
  const isMoved = round && !isRound;
  const behind = isRound ? gapAfter : isMoved ? first.start + end - start - last.start - shownOf(last) : 0;
  const spotted = withGaps(laidOut, { behind, gapAfter, near: (end - start) * ROUNDING });
  const covered = last.start + shownOf(last) + (isRound ? spotted[spotted.length - 1].gap : 0);
  const [before, left] = isMoved ? [0, 0] : [first.start - start, end - covered];
  return ok({ spotted, isRound, gapAfter, before, left, ...(pinned && { pinned }) });
}

type Ungapped = Omit<Spotted, 'gap' | 'overlap'>;

/**
 * Pieces with the clear distance to the next one, over joints too; `behind` = after the last, which overlaps what would come by `gapAfter`. What is
 * off by no more than `near` is none.
 */
function withGaps(
  pieces: readonly Ungapped[],
  { behind, gapAfter, near }: { readonly behind: number; readonly gapAfter: number; readonly near: number },
): readonly Spotted[] {
  return pieces.map(({ kind, body, spot, natural, meets, isPartEnd }, i) => {
    const next = pieces[i + 1]?.spot;
    const clear = next ? next.start - spot.start - shownOf(spot) : behind;
    const gap = Math.abs(clear) <= near ? 0 : clear;
    const overlap = Math.max(0, -(next ? gap : gapAfter));
    return { kind, body, spot, natural, meets, isPartEnd, gap, overlap };
  });
}

/** At which of its ends a piece at the start or the end of a part meets another. */
function meetsOf({ joint, isAfterJoint }: Leg, isFirst: boolean, isLast: boolean): Spotted['meets'] {
  const [start, end] = [isFirst && isAfterJoint === true, isLast && joint !== undefined];
  return start || end ? { start, end } : undefined;
}

/** What a rule is told of one part. */
function inputOf(
  leg: Leg,
  path: LaidPath,
  given: { readonly lengths: PieceLengths; readonly round: boolean },
): RuleInput {
  const { measure } = path;
  const reach = leg.end - leg.start;
  const [from, to] = [measure.stationOf(leg.start), measure.stationOf(leg.end)];
  const placeOf = (station: number) => measure.placeOf(station) - leg.start;
  const floor = path.heightAt(from);
  const near = reach * 1e-9;
  return {
    ...given,
    reach,
    placeOf,
    points: pointsBetween(path, from, to)
      .map(placeOf)
      // A round's end is its start.
      .filter((at) => at >= -near && at <= (given.round ? reach - 2 * near : reach + near)),
    rise: path.heightAt(to) - floor,
    atRise: (gained) => placeOf(path.stationAtHeight(floor + gained, from, to)),
    chords: lazy(() => path.chords(from, to)), // only rules that ask for chords pay for them
  };
}

/** The points of a path near a stretch of it, on a closed one also a round farther on. Logarithmic in points. */
function pointsBetween({ pointStations, length, closed }: LaidPath, from: number, to: number): number[] {
  const near = length * 1e-6;
  return (closed ? [0, length] : [0]).flatMap((round) => {
    const [low, high] = [from - near - round, to + near - round].map((s) => firstAfter(pointStations, s)) as [
      number,
      number,
    ];
    return pointStations.slice(low, high).map((station) => station + round);
  });
}

/** Of the reach: what adding up so many lengths rounds. */
const ROUNDING = 1e-12;
/** Of a part: how near to its end a piece ends there. */
const NEAR = 1e-7;
/** Pieces of a pattern that are looked at for segments that are not there. */
const LOOKED_AT = 256;
