import type { FrameTable } from '../frames/frame-table';
import { lay, type Laying, type Placement } from '../laying/lay';
import { pieceLook, type PieceLook } from '../laying/variation';
import { fail, ok, type Result } from '../math/result';
import { grownShare } from '../motion/growth';
import { cutOff } from '../segment/cut-off';
import { openEnds, type SegmentEnd } from '../segment/open-ends';
import { adaptivePlanes, askedPlanes, evenPlanes, MAX_SLICES, neededRow, usefulPlanes } from '../segment/plan-slices';
import { halfWidth, type PreparedSegment } from '../segment/prepare';
import { sliceSegment } from '../segment/slice';
import type { Bend } from './bend-piece';
import { bendTolerance } from './bending-spec';
import type { RunJob } from './run-spec';

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

/** Keeps sliced forms of one segment, so that equal pieces share them and a drag does not slice again. */
export type SliceStore = Map<string, PreparedSegment>;

export interface PlanInput {
  readonly table: FrameTable;
  readonly segment: PreparedSegment;
  readonly job: RunJob;
  /** Seconds; null = finished. */
  readonly time: number | null;
  readonly slices: SliceStore;
}

/** Most vertices that one run may have: what 32-bit buffers and a browser can hold. */
export const MAX_RUN_VERTICES = 60_000_000;

/** Problems: those of {@link lay}, and `run.too-large` with `vertices` and `most`. */
export function planRun({ table, segment, job, time, slices }: PlanInput): Result<RunPlan> {
  const { head, body, tail } = segment.cut ?? { body: segment };
  const once = { head: head?.length ?? 0, tail: tail?.length ?? 0 };
  const laid = lay(job.laying, body.length, table.length, table.closed, once);
  if (!laid.ok) return laid;
  const laying = laid.value;
  const share = grownShare(job.motion, time);
  if (share <= 0) return ok({ laying, pieces: [], vertexCount: 0 });
  const { from, to } = laying.reach;
  const { bending } = job;
  const end = from + (to - from) * share;
  const rollPerMetre = (2 * Math.PI * bending.turns) / (end - from);
  const parts = { head: head ?? body, body, tail: tail ?? body };
  const placed = laying.placements
    .map(({ kind, station, length }) => {
      const worn = parts[kind];
      return { kind, worn, start: from + (station - from) * share, factor: (length * share) / worn.length };
    })
    .filter(({ start }) => bending.pastEnd !== 'trim' || start < end * (1 - 1e-12));
  // A cut through the segment fits itself; bodies fit each other when their ends do.
  const meet = (before: PartKind, after: PartKind) =>
    before === 'body' && after === 'body' ? laying.gap === 0 && body.endsMatch : true;
  const isRing = share === 1 && meet('body', 'body') && isClosedRing(laying, table, bending.turns);
  const single = laying.placements.length === 1;
  const pieces: PlannedPiece[] = [];
  let vertexCount = 0;
  for (const [i, { kind, worn, start, factor }] of placed.entries()) {
    const bend = { station: start, factor, gauge: bending.gauge, roll: bending.roll, rollFrom: from, rollPerMetre };
    const [before, after] = [placed[i - 1], placed[i + 1]];
    const ends: SegmentEnd[] = [];
    if (before ? meet(before.kind, kind) : isRing) ends.push('start');
    if (after ? meet(kind, after.kind) : isRing) ends.push('end');
    const isTrimmed = bending.pastEnd === 'trim' && start + factor * worn.length > end * (1 + 1e-12);
    const sliced = slicedFor({ table, segment: worn, job, bend, slices, kind, single, ends: isTrimmed ? [] : ends });
    const shown = isTrimmed ? openEnds(cutOff(sliced, (end - start) / factor), ends) : sliced;
    vertexCount += shown.mesh.positions.length / 3;
    if (vertexCount > MAX_RUN_VERTICES) return fail('run.too-large', { vertices: vertexCount, most: MAX_RUN_VERTICES });
    pieces.push({ segment: shown, bend, look: pieceLook(job.laying.variation, i) });
  }
  return ok({ laying, pieces, vertexCount });
}

type PartKind = Placement['kind'];

/** Whether the last piece runs on into the first. */
function isClosedRing({ reach, remainder }: Laying, table: FrameTable, turns: number): boolean {
  const isAllRound = table.closed && reach.to - reach.from >= table.length * (1 - 1e-9);
  return isAllRound && remainder === 0 && Number.isInteger(turns);
}

interface SliceInput extends Omit<PlanInput, 'time'> {
  readonly bend: Bend;
  readonly kind: PartKind;
  /** The run is one piece: slices only where the path asks for them. Many pieces share a few even slicings instead. */
  readonly single: boolean;
  /** Ends that a neighbour covers. */
  readonly ends: readonly SegmentEnd[];
}

function slicedFor({ table, segment, job, bend, slices, kind, single, ends }: SliceInput): PreparedSegment {
  const { slicing } = job.bending;
  const sliced = (planes: Float64Array, row: number) => stored(slices, kind, segment, planes, row, ends);
  if (slicing.by !== 'auto') return sliced(askedPlanes(slicing, segment.length), 0);
  const offset = halfWidth(segment.box) * bend.gauge;
  const tolerance = bendTolerance(job.bending, halfWidth(segment.box));
  const asked = { offset, tolerance, twist: bend.rollPerMetre };
  const rowAlong = (x0: number, x1: number) =>
    neededRow(table, bend.station + bend.factor * x0, bend.station + bend.factor * x1, asked) / bend.factor;
  if (single) {
    const planes = adaptivePlanes(segment.length, rowAlong);
    return openEnds(sliceSegment(segment, planes), ends);
  }
  const row = rowAlong(0, segment.length);
  const wanted = Math.min(Math.ceil(segment.length / row - 1e-9), MAX_SLICES);
  if (wanted <= 1) return sliced(new Float64Array(), 0);
  const rows = 2 ** Math.ceil(Math.log2(wanted));
  return sliced(evenPlanes(segment.length, rows), row);
}

function stored(
  slices: SliceStore,
  kind: PartKind,
  segment: PreparedSegment,
  planes: Float64Array,
  row: number,
  ends: readonly SegmentEnd[],
): PreparedSegment {
  const key = `${kind}:${row > 0 ? planes.length : planes.join()}:${row > 0 ? 'needed' : 'all'}:${ends.join()}`;
  let found = slices.get(key);
  if (!found) {
    const useful = row > 0 ? usefulPlanes(segment, planes, segment.length / (planes.length + 1)) : planes;
    slices.set(key, (found = openEnds(sliceSegment(segment, useful), ends)));
  }
  return found;
}
