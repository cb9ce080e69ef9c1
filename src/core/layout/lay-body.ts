import { fail, ok, type Result } from '../math/result';
import { firstAfter } from '../math/first-after';
import { lazy } from '../math/lazy';
import type { Chords } from './chords';
import type { LaidPath } from './laid-path';
import type { LayingJob, Layout, Lengths } from './layout';
import { shownOf, type RuleInput, type Spot } from './laying-rule';
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
  const parted = partCourse({ ...part, joints: own.isPlaced ? { ...joints, at: 'none' } : joints, piece: joint });
  if (!parted.ok) return parted;
  const legs = parted.value;
  const isRound = round && legs.length === 1 && legs[0].joint === undefined;
  const spotted: Spotted[] = [];
  let [count, gapAfter] = [0, 0];
  let pinned: Layout['pinned'];
  for (const leg of legs) {
    const input = inputOf(leg, path, { lengths: lengthsFrom(all, count), round: isRound });
    const laid = own.lay(input, rule);
    if (laid.refused) return { ok: false, problems: [laid.refused] };
    if (count + laid.count > MAX_PIECES)
      return fail('laying.too-many', { pieces: count + laid.count, most: MAX_PIECES });
    const spots = Array.from({ length: laid.count }, (_, i) => laid.at(i));
    // Where nothing stands in a joint, what comes to it on either side meets.
    const isFree = joint === 0 && joints.clear === 0;
    const near = input.reach * 1e-7;
    const meetsAt = (spot: Spot, i: number, all: number) => {
      const start = isFree && leg.isAfterJoint === true && i === 0 && Math.abs(spot.start) < near;
      const end = isFree && leg.joint !== undefined && i === all - 1 && Math.abs(spot.start + spot.length - input.reach) < near; // prettier-ignore
      return start || end ? { start, end } : undefined;
    };
    spots.forEach((spot, i) => {
      const next = spots[i + 1];
      const clear = next ? next.start - spot.start - shownOf(spot) : isRound ? laid.gapAfter : 0;
      const body = bodyOf(count + i);
      spotted.push({
        kind: 'body',
        body,
        spot: { start: leg.start + spot.start, length: spot.length, shown: spot.shown, stretch: spot.stretch },
        natural: bodies[body],
        gap: Math.abs(clear) <= input.reach * ROUNDING ? 0 : clear,
        meets: meetsAt(spot, i, spots.length),
      });
    });
    if (laid.pins && legs.length === 1) pinned = { pins: laid.pins, pitch: all.of(0) + gap };
    count += laid.count;
    gapAfter = laid.gapAfter;
    if (leg.joint !== undefined && joint > 0) {
      const spot = { start: leg.joint - joint / 2, length: joint };
      spotted.push({ kind: joints.at === 'points' ? 'post' : 'corner', body: 0, spot, natural: joint, gap: 0 });
    }
  }
  if (count === 0) return fail('laying.none');
  const [first, last] = [spotted[0], spotted[spotted.length - 1]];
  const covered = last.spot.start + shownOf(last.spot) + (isRound ? last.gap : 0);
  const isMoved = round && !isRound; // it begins behind its first joint
  const [before, left] = isMoved ? [0, 0] : [first.spot.start - start, end - covered];
  return ok({ spotted, isRound, gapAfter, before, left, ...(pinned && { pinned }) });
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
    // Only rules that ask for chords pay for them.
    chords: lazyChords(() => path.chords(from, to)),
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

function lazyChords(make: () => Chords): Chords {
  const made = lazy(make);
  return {
    walk: (...asked) => made().walk(...asked),
    closed: (...asked) => made().closed(...asked),
  };
}

/** Of the reach: what adding up so many lengths rounds. */
const ROUNDING = 1e-12;
/** Pieces of a pattern that are looked at for segments that are not there. */
const LOOKED_AT = 256;
