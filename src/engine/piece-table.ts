import { fitOf } from '../core/layout/fit-registry';
import type { PieceKind } from '../core/layout/placement';
import { SIDES_STRIDE, sideStretches } from '../core/layout/side-stretch';
import type { DerivedCourse } from './derived';

/** A piece of a course in numbers: metres, radians, shares. */
export interface PieceRow {
  readonly piece: number;
  readonly kind: PieceKind;
  readonly body: number;
  readonly station: number;
  readonly natural: number;
  readonly length: number;
  /** Laid over natural length less one: on the path, and at the section's side towards the bend and away from it. */
  readonly stretch: number;
  /** By how much that is off the mean of all pieces. */
  readonly offMean: number;
  readonly inner: number;
  readonly outer: number;
  readonly turn: number;
  readonly gap: number;
}

/** All pieces of a course. */
export function pieceTable(course: DerivedCourse): readonly PieceRow[] {
  const sides = sidesOfCourse(course);
  const { placements } = course.laid.layout;
  const mean = placements.reduce((sum, _, i) => sum + sides[i * SIDES_STRIDE] - 1, 0) / Math.max(placements.length, 1);
  return placements.map((placement, i): PieceRow => {
    const { piece, kind, body, station, natural, length, turn, gap } = placement;
    const [stretch, inner, outer] = [0, 1, 2].map((k) => sides[i * SIDES_STRIDE + k] - 1);
    return { piece, kind, body, station, natural, length, stretch, offMean: stretch - mean, inner, outer, turn, gap };
  });
}

/** See `sideStretches`: at the edges of each piece's segment; pieces that are not bent are as long everywhere. */
export function sidesOfCourse({ laid, shape, pieces, course }: DerivedCourse): Float32Array {
  const bodies = [pieces.segment, ...(pieces.others ?? [])];
  const fit = fitOf(course.fit);
  const along = fit.measures(course.fit);
  const isOnPath = along === 'path' || along === 'plan';
  return sideStretches(laid.layout.placements, shape, ({ body, stretch, factor }) => {
    const { min, max } = (bodies[body] ?? pieces.segment).box;
    const axis = isOnPath ? stretch : factor; // what keeps a side's length says nothing of the path by itself
    return fit.follows ? { axis, left: min[2], right: max[2] } : { axis, left: 0, right: 0 };
  });
}
