import type { FrameTable } from '../frames/frame-table';
import { lay, type Laying, type Placement } from '../laying/lay';
import { pieceLook, type PieceLook } from '../laying/variation';
import { fail, ok, type Result } from '../math/result';
import { grownShare } from '../motion/growth';
import type { SegmentEnd } from '../segment/open-ends';
import { MAX_SLICES } from '../segment/slicing-spec';
import { halfWidth, type PreparedSegment } from '../segment/prepared-segment';
import type { Bend } from './bend';
import { bendTolerance, type BendingSpec } from './bending-spec';
import { countForms, formOf, type LaidPiece } from './plan-forms';
import { buildRowDensity, NO_ROWS, rowsTo } from './row-density';
import type { RunJob } from './run-spec';
import type { SliceStore } from './slice-store';

/** A piece ready to be bent: which cut of the segment it wears and how it lies. */
export interface PlannedPiece {
  readonly segment: PreparedSegment;
  readonly bend: Bend;
  /** Absent = the segment's own. */
  readonly look?: PieceLook | undefined;
}

export interface RunPlan {
  readonly laying: Laying;
  readonly pieces: readonly PlannedPiece[];
  readonly vertexCount: number;
}

export interface LayInput {
  readonly table: FrameTable;
  readonly segment: PreparedSegment;
  readonly job: RunJob;
  readonly slices: SliceStore;
}

/** A run laid and sliced: all of it that does not hang on the time. */
export interface LaidRun {
  readonly laying: Laying;
  readonly pieces: readonly (LaidPiece & { readonly form: PreparedSegment })[];
  /** Of a run that closes: first and last piece with the ends that show as long as it has not. */
  readonly open?: { readonly first: PreparedSegment; readonly last: PreparedSegment };
  /** Triangles of the run if its pieces were sliced so; counted when it is asked for. */
  readonly countSliced: (slicing: BendingSpec['slicing']) => number;
  /** Metres: what rows keep to; more than was asked for where a piece would have had too many. */
  readonly tolerance: number;
}

/** Most vertices that one run may have: what 32-bit buffers and a browser can hold. */
export const MAX_RUN_VERTICES = 60_000_000;

/** Where pieces lie, those that the path's end cuts off whole left out. Problems: those of {@link lay}. */
export function layPieces(
  { length, closed }: Pick<FrameTable, 'length' | 'closed'>,
  segment: PreparedSegment,
  { laying, bending }: Pick<RunJob, 'laying' | 'bending'>,
): Result<Laying> {
  const { head, body, tail } = segment.cut ?? { body: segment };
  const laid = lay(laying, body.length, length, closed, { head: head?.length ?? 0, tail: tail?.length ?? 0 });
  if (!laid.ok || bending.pastEnd !== 'trim') return laid;
  const end = laid.value.reach.to * (1 - 1e-12);
  return ok({ ...laid.value, placements: laid.value.placements.filter(({ station }) => station < end) });
}

/** Problems: those of {@link layPieces}, and `run.too-large` with `vertices` and `most`. */
export function layRun({ table, segment, job, slices }: LayInput): Result<LaidRun> {
  const { head, body, tail } = segment.cut ?? { body: segment };
  const laid = layPieces(table, segment, job);
  if (!laid.ok) return laid;
  const { bending, motion } = job;
  const laying = laid.value;
  const { from, to } = laying.reach;
  const parts = { head: head ?? body, body, tail: tail ?? body };
  // (1) Where each piece lies, and what of it the path's end cuts off.
  const placed = laying.placements
    .map(({ kind, station, length }) => ({ kind, worn: parts[kind], station, factor: length / parts[kind].length }))
    .map((piece) => {
      const isTrimmed =
        bending.pastEnd === 'trim' && piece.station + piece.factor * piece.worn.length > to * (1 + 1e-12);
      return isTrimmed ? { ...piece, cutAt: (to - piece.station) / piece.factor } : piece;
    });
  // (2) The rows that the bend needs.
  const half = halfWidth(segment.box);
  const asked = bendTolerance(bending, half);
  const twist = (2 * Math.PI * bending.turns) / (to - from);
  const demand = { offset: half * bending.gauge, tolerance: asked, twist };
  const last = placed.reduce((end, piece) => Math.max(end, piece.station + piece.factor * piece.worn.length), to);
  const rows = () => buildRowDensity(table, from, last, demand, motion.growth !== 'none');
  const density = bending.slicing.by === 'off' ? NO_ROWS : rows();
  // (3) What each wears. A cut through the segment fits itself; bodies fit each other when their ends do.
  const meet = (before: PartKind, after: PartKind) =>
    before === 'body' && after === 'body' ? laying.gap === 0 && body.endsMatch : true;
  const isRing = meet('body', 'body') && isClosedRing(laying, table, bending.turns);
  const input = { density, slicing: bending.slicing, slices, isSingle: laying.placements.length === 1 };
  const wear = (i: number, isRound: boolean) => {
    const piece = placed[i]!;
    const [before, after] = [placed[i - 1], placed[i + 1]];
    const ends: SegmentEnd[] = [];
    if (before ? meet(before.kind, piece.kind) : isRound) ends.push('start');
    if (after ? meet(piece.kind, after.kind) : isRound) ends.push('end');
    return formOf(piece, ends, input);
  };
  const pieces: (LaidPiece & { form: PreparedSegment })[] = [];
  let vertices = 0;
  let worst = 1;
  for (const [i, piece] of placed.entries()) {
    const form = wear(i, isRing);
    vertices += form.mesh.positions.length / 3;
    if (vertices > MAX_RUN_VERTICES) return fail('run.too-large', { vertices, most: MAX_RUN_VERTICES });
    pieces.push({ ...piece, form });
    const end = piece.station + piece.factor * piece.worn.length;
    worst = Math.max(worst, (rowsTo(density, end) - rowsTo(density, piece.station)) / MAX_SLICES);
  }
  const open = isRing && placed.length > 0 && { first: wear(0, false), last: wear(placed.length - 1, false) };
  const countSliced: LaidRun['countSliced'] = (slicing) =>
    countForms(placed, { ...input, slicing, density: density === NO_ROWS ? rows() : density });
  return ok({ laying, pieces, countSliced, tolerance: asked * worst * worst, ...(open && { open }) });
}

/** A laid run at `time` seconds; null = finished. */
export function poseRun(
  { laying, pieces, open }: LaidRun,
  { bending, motion, laying: spec }: RunJob,
  time: number | null,
): RunPlan {
  const share = grownShare(motion, time);
  if (share <= 0) return { laying, pieces: [], vertexCount: 0 };
  const { from, to } = laying.reach;
  const rollPerMetre = (2 * Math.PI * bending.turns) / ((to - from) * share);
  let vertexCount = 0;
  const posed = pieces.map(({ station, factor, form }, i): PlannedPiece => {
    const isOpen = share < 1 && open;
    const segment = isOpen && i === 0 ? open.first : isOpen && i === pieces.length - 1 ? open.last : form;
    vertexCount += segment.mesh.positions.length / 3;
    const place = { station: from + (station - from) * share, factor: factor * share };
    const bend = { ...place, gauge: bending.gauge, roll: bending.roll, rollFrom: from, rollPerMetre };
    return { segment, bend, look: pieceLook(spec.variation, i) };
  });
  return { laying, pieces: posed, vertexCount };
}

/** A run at a time from scratch: {@link layRun} and {@link poseRun}. */
export function planRun({ time, ...input }: LayInput & { readonly time: number | null }): Result<RunPlan> {
  const laid = layRun(input);
  return laid.ok ? ok(poseRun(laid.value, input.job, time)) : laid;
}

type PartKind = Placement['kind'];

/** Whether the last piece runs on into the first. */
function isClosedRing({ reach, remainder }: Laying, table: FrameTable, turns: number): boolean {
  const isAllRound = table.closed && reach.to - reach.from >= table.length * (1 - 1e-9);
  return isAllRound && remainder === 0 && Number.isInteger(turns);
}
