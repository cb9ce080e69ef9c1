import { fillFrame } from '../core/frames/fill-frame';
import { CURVATURE, FRAME_STRIDE, SIDE } from '../core/frames/frame-table';
import type { PieceKind } from '../core/layout/placement';
import { GAUGE_SIDE, frameOn } from '../core/shape/frame-on';
import type { DerivedCourse } from './derive';

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
  readonly inner: number;
  readonly outer: number;
  readonly turn: number;
  readonly gap: number;
}

/**
 * All pieces of a course. At distance z to the side of the path a bend of curvature k along it makes lengths 1 - k z times as long (elementary);
 * taken in the middle of the piece, at the edges of its segment's box.
 */
export function pieceTable({ laid, shape, pieces }: DerivedCourse): readonly PieceRow[] {
  const bodies = [pieces.segment, ...(pieces.others ?? [])];
  const frame = new Float64Array(FRAME_STRIDE);
  return laid.layout.placements.map((placement): PieceRow => {
    const { piece, kind, body, station, natural, length, stretch, turn, gap } = placement;
    const middle = station + length / 2;
    fillFrame(frame, 0, shape.table, middle);
    const bend = [0, 1, 2].reduce((sum, c) => sum + frame[CURVATURE + c] * frame[SIDE + c], 0);
    const gauge = frameOn(shape, middle)[GAUGE_SIDE];
    const { min, max } = (bodies[body] ?? pieces.segment).box;
    const edges = [min[2], max[2]].map((z) => stretch * (1 - bend * z * gauge) - 1);
    const [inner, outer] = [Math.min(...edges), Math.max(...edges)];
    return { piece, kind, body, station, natural, length, stretch: stretch - 1, inner, outer, turn, gap };
  });
}
