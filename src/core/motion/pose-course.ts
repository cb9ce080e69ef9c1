import type { Place } from '../layout/place';
import type { FitSpec } from '../layout/fit-registry';
import type { LaidCourse } from '../layout/lay-course';
import type { Layout } from '../layout/layout';
import type { WornPiece } from '../layout/worn-pieces';
import { pieceLooks, type PieceLook, type VariationSpec } from '../layout/variation';
import type { SegmentEnd } from '../segment/open-ends';
import { cornersInside, type CornerPlace, type ShownPart } from '../segment/pieces/plan-forms';
import type { PreparedSegment } from '../segment/prepared-segment';
import { besideShape, movedShape, thickened, type Shape } from '../shape/shape';
import type { Arrival, Span } from './growth';
import { isWhole, motionPoseAt, type MotionPose } from './motion-pose';
import { MOTION_DEFAULTS, travels, type MotionSpec } from './motion-spec';
import { shownSpans } from './shown-spans';

/** A piece ready to be bent: which form of the segment it wears and how it lies. */
export interface PosedPiece {
  readonly form: PreparedSegment;
  readonly place: Place;
  /** The run's, moved as far as this piece is. */
  readonly shape: Shape;
  /** The same in the finished run. */
  readonly atRest: Shape;
  /** Where it lies in the finished run. */
  readonly laid: WornPiece;
  /** Absent = the segment's own. */
  readonly look?: PieceLook | undefined;
}

/** All pieces of a course at a time. */
export interface CoursePlan {
  readonly fit: FitSpec;
  readonly pieces: readonly PosedPiece[];
  readonly vertexCount: number;
}

export interface PoseInput {
  readonly shape: Shape;
  readonly fit: FitSpec;
  readonly motion: MotionSpec;
  readonly variation: VariationSpec;
}

/** A laid course so many seconds after its run began; null = finished. */
export function poseCourse(laid: LaidCourse, input: PoseInput, time: number | null): CoursePlan {
  const { shape, motion } = input;
  const moved = { reach: shape.reach, round: laid.layout.round };
  const asked = motionPoseAt(motion, time, moved);
  if (!asked) return { fit: input.fit, pieces: [], vertexCount: 0 };
  const pose = laid.layout.round ? withinRound(asked, shape.table.length) : asked;
  return isWhole(pose) ? finishedCourse(laid, input) : movedCourse(laid, input, pose);
}

/** A finished course as it is followed through its motion: while it grows, or comes in and goes out, ends show that others cover when all is there. */
export function restCourse(laid: LaidCourse, input: PoseInput): CoursePlan {
  const { growth, ...motion } = input.motion;
  const showsEnds = growth.kind !== 'none' || (travels(motion) && !laid.layout.round);
  const plan = finishedCourse(laid, { ...input, motion: MOTION_DEFAULTS });
  if (!showsEnds) return plan;
  const places = new Map(laid.pieces.map((piece, i) => [piece, i]));
  const pieces = plan.pieces.map((posed) => ({ ...posed, form: laid.showing(places.get(posed.laid)!, BOTH) }));
  return { ...plan, pieces, vertexCount: pieces.reduce((sum, { form }) => sum + form.mesh.positions.length / 3, 0) };
}

/** Whole rounds are none: the same place is the same, whatever came before. */
const withinRound = (pose: MotionPose, round: number): MotionPose => ({
  ...pose,
  shift: pose.shift % round,
});

const BOTH: readonly SegmentEnd[] = ['start', 'end'];

/** All pieces where they were laid; written out, for there are many of them and they are posed with every edit. */
function finishedCourse({ pieces }: LaidCourse, { shape, fit, variation }: PoseInput): CoursePlan {
  const lookOf = pieceLooks(variation);
  const posed: PosedPiece[] = [];
  let vertexCount = 0;
  for (const laid of pieces) {
    const { placement, form, worn, station, factor, pins, strewn } = laid;
    const { piece, overlap, up, side } = placement;
    if (form.mesh.indices.length === 0) continue;
    vertexCount += form.mesh.positions.length / 3;
    const place = { station, factor, scale: 1, natural: worn.length, overlap, pins, strewn };
    const own = up === 0 && side === 0 ? shape : besideShape(shape, up, side);
    posed.push({ form, place, shape: own, atRest: own, laid, look: lookOf(piece) });
  }
  return { fit, pieces: posed, vertexCount };
}

function movedCourse(laid: LaidCourse, { shape, fit, variation }: PoseInput, pose: MotionPose): CoursePlan {
  const { layout, pieces } = laid;
  const { reach } = shape;
  const end = pieces.reduce((most, piece) => Math.max(most, endOf(piece)), reach.from);
  const period = Math.max(end + layout.gapAfter, reach.to) - reach.from;
  const { about, scale, spans } = pose;
  const shapes = new Map<number, Shape>();
  const shapeAt = (shift: number): Shape => {
    const isStill = scale === 1 && shift === 0;
    const known = shapes.get(shift) ?? movedShape(shape, isStill ? undefined : { from: about, scale, shift });
    shapes.set(shift, known);
    return known;
  };
  const lookOf = pieceLooks(variation);
  const corners = cornersAllRound(laid, shape);
  const placesAt = laid.repin && pose.shift !== 0 ? pinnedPlaces(laid, pose) : undefined;
  let vertexCount = 0;
  const posed = pieces.flatMap((piece, i) => {
    const arrival = arrivalOf(pose, layout, piece);
    if (!arrival) return [];
    const { placement, pins, strewn } = piece;
    const look = lookOf(placement.piece);
    const shows = placesAt ? placesAt(i) : placesOf(piece, pose, reach.from, period);
    const parts = spans ? shows.flatMap((shown) => cutShown(shown, piece, spans)) : shows;
    return parts.flatMap(({ shift, cut, part, ...place }): PosedPiece[] => {
      const ends = [...endsThatShow(laid, pose, i), ...cut];
      const inside = corners.length > 0 ? cornersInside(piece.worn, place, corners) : [];
      const isOther = ends.length > 0 || part || inside.length > 0;
      const form = isOther ? laid.showing(i, ends, { part, corners: inside }) : piece.form;
      if (form.mesh.indices.length === 0) return [];
      vertexCount += form.mesh.positions.length / 3;
      const whole = { natural: piece.worn.length, overlap: placement.overlap, strewn };
      const own = arrived({ ...whole, ...place }, arrival);
      const onPins = scale === 1 && arrival.size === 1 && arrival.along === 0 && shift === 0 ? pins : undefined;
      const beside = besideShape(shapeAt(shift + arrival.along), placement.up + arrival.up, placement.side);
      const shaped = thickened(beside, arrival.size);
      return [
        {
          form,
          laid: piece,
          look,
          shape: shaped,
          atRest: besideShape(shape, placement.up, placement.side),
          place: { pins: onPins, ...own },
        },
      ];
    });
  });
  return { fit, pieces: posed, vertexCount };
}

/** Where corners need rows; those of a closed path also for what lies beyond its seam. */
const cornersAllRound = ({ corners }: LaidCourse, { table: { closed, length } }: Shape): readonly CornerPlace[] =>
  closed && corners.length > 0
    ? [-1, 0, 1, 2].flatMap((round) => corners.map(({ at, isEdge }) => ({ at: at + round * length, isEdge })))
    : corners;

/** How a piece is there; undefined = it is not. */
function arrivalOf({ arrival }: MotionPose, { placements }: Layout, piece: WornPiece): Arrival | undefined {
  if (!arrival) return THERE;
  const half = (piece.factor * piece.worn.length) / 2;
  return arrival({ piece: piece.placement.piece, count: placements.length, middle: piece.station + half, half });
}

const THERE: Arrival = { size: 1, along: 0, up: 0 };

/** A place moved along and made smaller about the middle of its piece. */
function arrived(place: Place, { size, along }: Arrival): Place {
  const middle = (place.factor * place.natural) / 2;
  const station = place.station + along + (1 - size) * middle;
  return { ...place, station, factor: place.factor * size, scale: place.scale * size };
}

/** Ends of a piece that others cover when all is there: those of a ring that has not closed, and of pieces whose neighbours have not come. */
function endsThatShow({ isRing, pieces }: LaidCourse, { scale, arrival }: MotionPose, i: number): SegmentEnd[] {
  if (arrival) return ['start', 'end'];
  if (!isRing || scale === 1) return [];
  return [...(i === 0 ? ['start' as const] : []), ...(i === pieces.length - 1 ? ['end' as const] : [])];
}

const endOf = ({ station, factor, worn }: WornPiece): number => station + factor * worn.length;

interface Shown extends Omit<Place, 'natural' | 'overlap' | 'strewn'> {
  /** How far it has moved, metres. */
  readonly shift: number;
  /** Its ends that lie at those of the window. */
  readonly cut: readonly SegmentEnd[];
  /** From which x to which it shows; absent = all of it. */
  readonly part?: ShownPart;
}

/** What of a piece that shows lies in some spans of the finished run; one that is strewn is there when its middle is. */
function cutShown(shown: Shown, { station, factor, worn, strewn }: WornPiece, spans: readonly Span[]): Shown[] {
  if (strewn) {
    const middle = station + (factor * worn.length) / 2;
    const own = spans.find(({ from, to }) => middle >= from && middle <= to);
    return own ? [{ ...shown, station: shown.station + own.shift, shift: shown.shift + own.shift }] : [];
  }
  return shownSpans(station, factor, worn.length, spans).map(({ part, ends, shift }) => ({
    ...shown,
    station: shown.station + shift,
    shift: shown.shift + shift,
    cut: [...shown.cut, ...ends],
    ...(part && { part }),
  }));
}

/** Where links that are pinned show: each with its two pins on the path, a loop's all, an open chain's those that lie within the reach. */
function pinnedPlaces({ layout, pieces, repin }: LaidCourse, { shift }: MotionPose): (i: number) => Shown[] {
  const { round, placements, pinned } = layout;
  const { pitch } = pinned!;
  const count = placements.length;
  // On an open path the chain moves within one link; the links themselves go on by whole ones.
  const passed = round ? 0 : Math.floor(shift / pitch);
  const within = shift - passed * pitch;
  const { stations, pins } = repin!(round ? shift : within);
  return (i) => {
    const own = pieces[i].placement.piece;
    const at = round ? own : (((own + passed) % count) + count) % count;
    if (at + 1 >= stations.length) return [];
    const station = stations[at];
    const factor = (stations[at + 1] - station) / pieces[i].worn.length;
    return [
      {
        scale: 1,
        station,
        factor,
        shift: station - pieces[i].station,
        cut: [],
        pins: pins.subarray(at * 3, at * 3 + 6),
      },
    ];
  };
}

/** Where a piece shows: once, or in part at both ends of the window. */
function placesOf(
  { station, factor, worn }: WornPiece,
  { about, scale, shift, window }: MotionPose,
  from: number,
  period: number,
): Shown[] {
  const at = about + scale * (station - about) + shift;
  const whole = { scale, factor: factor * scale };
  if (!window) return [{ ...whole, station: at, shift, cut: [] }];
  const rounds = Math.floor((at - from) / period);
  return [rounds, rounds + 1].flatMap((round) => {
    const start = at - round * period;
    const [a, b] = [Math.max(start, window.from), Math.min(start + whole.factor * worn.length, window.to)];
    if (b - a <= worn.length * LEAST_SHOWN) return [];
    const share = (b - a) / (whole.factor * worn.length);
    const near = worn.length * 1e-9;
    const cut: SegmentEnd[] = [];
    if (start < window.from + near) cut.push('start');
    if (start + whole.factor * worn.length > window.to - near) cut.push('end');
    const moved = { shift: shift - round * period, cut };
    if (share > 1 - 1e-12) return [{ ...whole, station: start, ...moved }];
    return [{ scale: scale * share, factor: whole.factor * share, station: a, ...moved }];
  });
}

/** Of a piece that comes in or goes out: less than this share of it is nothing. */
const LEAST_SHOWN = 1e-6;
