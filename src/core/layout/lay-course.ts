import { fail, ok, type Result } from '../math/result';
import type { SegmentEnd } from '../segment/open-ends';
import { countForms, formOf, type FormInput, type LaidPiece } from '../segment/pieces/plan-forms';
import { buildRowDensity, NO_ROWS, rowsTo, type Passes } from '../segment/pieces/row-density';
import type { FormStore } from '../segment/pieces/form-store';
import { halfWidth, type PreparedSegment } from '../segment/prepared-segment';
import { MAX_SLICES } from '../segment/slicing-spec';
import type { Reach } from '../shape/reach';
import type { Shape } from '../shape/shape';
import { bendTolerance, type BendingSpec } from './bending-spec';
import type { CourseJob } from './course-spec';
import { fitOf } from './fit-registry';
import { lay, type LaidPath, type Layout, type Placement } from './lay';
import type { RuleSpec } from './registry';

export interface CourseInput {
  /** The run's, finished. */
  readonly shape: Shape;
  readonly segment: PreparedSegment;
  readonly course: CourseJob;
  readonly bending: BendingSpec;
  /** The run's own gauge, by which the tolerance is worked out where none was chosen. */
  readonly gauge: number;
  /** What of the path pieces come over while the run moves. */
  readonly passes: Passes;
  readonly forms: FormStore;
}

/** A piece as it lies when all is there, and what it wears. */
export interface WornPiece extends LaidPiece {
  readonly form: PreparedSegment;
}

/** A course laid and sliced: all of it that does not hang on the time. */
export interface LaidCourse {
  readonly layout: Layout;
  readonly pieces: readonly WornPiece[];
  /** It closes: no end of a piece shows, when all of it is there. */
  readonly isRing: boolean;
  /** What a piece wears while these of its ends show, whatever lies beside it in the finished course. */
  readonly showing: (piece: number, ends: readonly SegmentEnd[]) => PreparedSegment;
  /** Triangles of the course if its pieces were sliced so; counted when it is asked for. */
  readonly countSliced: (slicing: BendingSpec['slicing']) => number;
  /** Metres: what rows keep to; more than was asked for where a piece would have had too many. */
  readonly tolerance: number;
}

/** Most vertices that one course may have: what 32-bit buffers and a browser can hold. */
const MAX_RUN_VERTICES = 60_000_000;

/** What of a segment a rule lays. */
type Cut = Pick<PreparedSegment, 'length' | 'cut'>;

/** Where pieces lie, those that the path's end cuts off whole left out. Problems: those of {@link lay}. */
export function layPieces(
  rule: RuleSpec,
  segment: Cut,
  {
    reach,
    path,
    pastEnd,
  }: { readonly reach: Reach; readonly path: LaidPath; readonly pastEnd: BendingSpec['pastEnd'] },
): Result<Layout> {
  const { head, body, tail } = segment.cut ?? { body: segment };
  const lengths = { head: head?.length ?? 0, body: body.length, tail: tail?.length ?? 0 };
  const laid = lay(rule, lengths, reach, path);
  if (!laid.ok || pastEnd !== 'trim') return laid;
  const end = reach.to * (1 - 1e-12);
  return ok({ ...laid.value, placements: laid.value.placements.filter(({ station }) => station < end) });
}

/** Problems: those of {@link layPieces}, and `run.too-large` with `vertices` and `most`. */
export function layCourse({ shape, segment, course, bending, gauge, passes, forms }: CourseInput): Result<LaidCourse> {
  const { table, reach } = shape;
  const { head, body, tail } = segment.cut ?? { body: segment };
  const laid = layPieces(course.laying.rule, segment, { reach, path: table, pastEnd: bending.pastEnd });
  if (!laid.ok) return laid;
  const layout = laid.value;
  const { follows } = fitOf(course.fit);
  const parts = { head: head ?? body, body, tail: tail ?? body };
  // (1) Where each piece lies, and what of it the path's end cuts off.
  const placed = layout.placements.map(({ kind, station, length, gap }) => {
    const piece = { kind, gap, worn: parts[kind], station, factor: length / parts[kind].length };
    const isTrimmed = bending.pastEnd === 'trim' && station + length > reach.to * (1 + 1e-12);
    return isTrimmed ? { ...piece, cutAt: (reach.to - station) / piece.factor } : piece;
  });
  // (2) The rows that the bend needs.
  const half = halfWidth(segment.box);
  const asked = bendTolerance(bending.tolerance, half, gauge);
  const last = placed.reduce((end, piece) => Math.max(end, piece.station + piece.factor * piece.worn.length), reach.to);
  const rows = () => buildRowDensity(shape, [reach.from, last], { half, tolerance: asked }, passes);
  const slicing: BendingSpec['slicing'] = follows ? bending.slicing : { by: 'off' };
  const density = slicing.by === 'off' ? NO_ROWS : rows();
  // (3) What each wears. A cut through the segment fits itself; bodies fit each other when their ends do.
  const meet = (before: Met, after: Met) =>
    follows && (before.kind === 'body' && after.kind === 'body' ? before.gap === 0 && body.endsMatch : true);
  const isRing = placed.length > 0 && isClosedRing(layout, shape) && meet(placed.at(-1)!, placed[0]);
  const input: FormInput = { density, slicing, forms, isSingle: placed.length === 1 };
  const wear = (i: number, shown: readonly SegmentEnd[] = []) => {
    const piece = placed[i];
    const [before, after] = [placed[i - 1], placed[i + 1]];
    const covered: SegmentEnd[] = [];
    if (before ? meet(before, piece) : isRing) covered.push('start');
    if (after ? meet(piece, after) : isRing) covered.push('end');
    return formOf(
      piece,
      covered.filter((end) => !shown.includes(end)),
      input,
    );
  };
  const pieces: WornPiece[] = [];
  let vertices = 0;
  let worst = 1;
  for (const [i, piece] of placed.entries()) {
    const form = wear(i);
    vertices += form.mesh.positions.length / 3;
    if (vertices > MAX_RUN_VERTICES) return fail('run.too-large', { vertices, most: MAX_RUN_VERTICES });
    pieces.push({ ...piece, form });
    const end = piece.station + piece.factor * piece.worn.length;
    worst = Math.max(worst, (rowsTo(density, end) - rowsTo(density, piece.station)) / MAX_SLICES);
  }
  const countSliced: LaidCourse['countSliced'] = (other) =>
    countForms(placed, { ...input, slicing: other, density: density === NO_ROWS ? rows() : density });
  return ok({ layout, pieces, isRing, showing: wear, countSliced, tolerance: asked * worst * worst });
}

type Met = Pick<Placement, 'kind' | 'gap'>;

/** Whether the last piece runs on into the first: all the way round, with nothing left over and no roll between them. */
function isClosedRing({ reach, remainder }: Layout, { table, lanes }: Shape): boolean {
  const isAllRound = table.closed && reach.to - reach.from >= table.length * (1 - 1e-9);
  if (!isAllRound || remainder !== 0) return false;
  const gain = (name: string) =>
    lanes.reduce((sum, lane) => sum + (lane.name === name ? lane.at(reach.to)[0] - lane.at(reach.from)[0] : 0), 0);
  const turns = gain('roll') / (2 * Math.PI);
  const isEven = Math.abs(turns - Math.round(turns)) < 1e-9;
  return isEven && ['gaugeUp', 'gaugeSide', 'offsetUp', 'offsetSide'].every((name) => Math.abs(gain(name)) < 1e-9);
}
