import type { Place } from '../layout/fit';
import type { FitSpec } from '../layout/fit-registry';
import type { LaidCourse } from '../layout/lay-course';
import type { WornPiece } from '../layout/worn-pieces';
import { pieceLooks, type PieceLook, type VariationSpec } from '../layout/variation';
import type { SegmentEnd } from '../segment/open-ends';
import type { PreparedSegment } from '../segment/prepared-segment';
import { besideShape, movedShape, type Shape } from '../shape/shape';
import type { MotionPose } from './motion-kind';
import { motionOf, type MotionSpec } from './registry';

/** A piece ready to be bent: which form of the segment it wears and how it lies. */
export interface PosedPiece {
  readonly form: PreparedSegment;
  readonly place: Place;
  /** The run's, moved as far as this piece is. */
  readonly shape: Shape;
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

/** A laid course at `time` seconds; null = finished. */
export function poseCourse(laid: LaidCourse, input: PoseInput, time: number | null): CoursePlan {
  const { shape, fit, motion, variation } = input;
  const { layout, pieces, isRing } = laid;
  const { reach } = shape;
  const end = pieces.reduce((most, piece) => Math.max(most, endOf(piece)), reach.from);
  const period = Math.max(end + layout.gapAfter, reach.to) - reach.from;
  const moved = { reach, round: layout.round, period };
  const pose = time === null ? WHOLE : motionOf(motion).poseAt(motion, time, moved);
  if (!pose) return { fit, pieces: [], vertexCount: 0 };
  const shapes = new Map<number, Shape>();
  const shapeAt = (shift: number): Shape => {
    const isStill = pose.scale === 1 && shift === 0;
    const known =
      shapes.get(shift) ?? movedShape(shape, isStill ? undefined : { from: reach.from, scale: pose.scale, shift });
    shapes.set(shift, known);
    return known;
  };
  const lookOf = pieceLooks(variation);
  const placesAt = laid.repin && pose.shift !== 0 ? pinnedPlaces(laid, pose) : undefined;
  let vertexCount = 0;
  const posed = pieces.flatMap((piece, i) => {
    // A ring that has not closed yet shows its two ends.
    const atEnd: SegmentEnd[] = [];
    if (isRing && pose.scale < 1 && i === 0) atEnd.push('start');
    if (isRing && pose.scale < 1 && i === pieces.length - 1) atEnd.push('end');
    const { placement, pins } = piece;
    const look = lookOf(placement.piece);
    const own = { natural: piece.worn.length, overlap: placement.overlap, pins: pose.scale === 1 ? pins : undefined };
    const shows = placesAt ? placesAt(i) : placesOf(piece, pose, reach.from, period);
    return shows.map(({ shift, cut, ...place }): PosedPiece => {
      const ends = [...atEnd, ...cut];
      const form = ends.length > 0 ? laid.showing(i, ends) : piece.form;
      vertexCount += form.mesh.positions.length / 3;
      const beside = besideShape(shapeAt(shift), placement.up, placement.side);
      return { form, laid: piece, look, shape: beside, place: { ...own, ...place } };
    });
  });
  return { fit, pieces: posed, vertexCount };
}

const WHOLE: MotionPose = { scale: 1, shift: 0 };

const endOf = ({ station, factor, worn }: WornPiece): number => station + factor * worn.length;

interface Shown extends Omit<Place, 'natural' | 'overlap'> {
  /** How far it has moved, metres. */
  readonly shift: number;
  /** Its ends that lie at those of the window. */
  readonly cut: readonly SegmentEnd[];
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
  { scale, shift, window }: MotionPose,
  from: number,
  period: number,
): Shown[] {
  const at = from + scale * (station - from) + shift;
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
