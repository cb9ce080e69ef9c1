import { fail, ok, type Result } from '../math/result';
import { CREASE_ANGLE } from '../math/tolerance';
import type { SegmentEnd } from '../segment/open-ends';
import { turnsIntoCorners } from '../segment/pieces/mitre';
import { countForms, formOf, type CornerPlace, type FormInput, type ShownForm } from '../segment/pieces/plan-forms';
import { buildRowDensity, NO_ROWS, rowsTo, withCorners, type Passes } from '../segment/pieces/row-density';
import { halfWidth, type PreparedSegment } from '../segment/prepared-segment';
import { MAX_SLICES } from '../segment/slicing-spec';
import type { Shape } from '../shape/shape';
import { bendTolerance, type BendingSpec } from './bending-spec';
import type { CourseParts } from './course-parts';
import { fitOf } from './fit-registry';
import { laidPathOf, type LaidPath } from './laid-path';
import { lay } from './lay';
import type { Layout, Lengths } from './layout';
import type { Placement } from './placement';
import type { LayingSpec } from './laying-spec';
import { buildRepin, type Repin } from './repin';
import { Seams } from './seams';
import { wornPieces, type WornAt, type WornInput, type WornPiece } from './worn-pieces';

export interface CourseInput extends WornInput {
  /** The run's own gauge, by which the tolerance is worked out where none was chosen. */
  readonly gauge: number;
  /** What of the path pieces come over while the run moves. */
  readonly passes: Passes;
}

/** A course laid and sliced: all of it that does not hang on the time. */
export interface LaidCourse {
  readonly layout: Layout;
  /** Those that are not hidden. */
  readonly pieces: readonly WornPiece[];
  /** It closes: no end of a piece shows, when all of it is there. */
  readonly isRing: boolean;
  /** What a piece wears while these of its ends show, whatever lies beside it in the finished course, no more of it than a part, and over corners that it comes to. */
  readonly showing: (piece: number, ends: readonly SegmentEnd[], shown?: ShownForm) => PreparedSegment;
  /** Where the path's sharp corners need rows of whatever lies there, stations in metres; none where nothing is sliced. */
  readonly corners: readonly CornerPlace[];
  /** Triangles of the course if its pieces were sliced so; counted when it is asked for. */
  readonly countSliced: (slicing: BendingSpec['slicing']) => number;
  /** Metres: what rows keep to; more than was asked for where a piece would have had too many. */
  readonly tolerance: number;
  /** Of links that are pinned: how they lie so many metres farther on. */
  readonly repin?: Repin | undefined;
  /** Metres: the largest gap between the outlines of ends that touch; undefined where none do, or could be measured. */
  readonly seam: number | undefined;
}

/** Most vertices that one course may have: what 32-bit buffers and a browser can hold. */
const MAX_RUN_VERTICES = 60_000_000;

/** What of segments a rule lays. */
export type LaidSegments = CourseParts<Pick<PreparedSegment, 'length' | 'cut'>>;

const lengthsOf = ({ segment, others, head, tail, joint }: LaidSegments): Lengths => ({
  head: (head ?? segment.cut?.head)?.length ?? 0,
  bodies: [(segment.cut?.body ?? segment).length, ...others.map(({ length }) => length)],
  tail: (tail ?? segment.cut?.tail)?.length ?? 0,
  joint: joint?.length ?? 0,
});

/** Where pieces lie, those that the path's end cuts off whole left out. Problems: those of {@link lay}. */
export function layPieces(
  job: Omit<LayingSpec, 'variation'>,
  segments: LaidSegments,
  {
    reach,
    path,
    pastEnd,
  }: { readonly reach: Layout['reach']; readonly path: LaidPath; readonly pastEnd: BendingSpec['pastEnd'] },
): Result<Layout> {
  const laid = lay(job, lengthsOf(segments), reach, path);
  if (!laid.ok || pastEnd !== 'trim') return laid;
  const end = reach.to * (1 - 1e-12);
  return ok({ ...laid.value, placements: laid.value.placements.filter(({ station }) => station < end) });
}

/** Problems: those of {@link layPieces}, `strewn.no-surface`, and `run.too-large` with `vertices` and `most`. */
export function layCourse(input: CourseInput): Result<LaidCourse> {
  const { shape, segment, course, bending, gauge, passes, forms } = input;
  const { reach } = shape;
  const fit = fitOf(course.fit);
  const path = laidPathOf(shape, fit.measures(course.fit), segment.box);
  if (fit.isStrewn && !input.over) return fail('strewn.no-surface');
  const laid = input.over
    ? ok(input.over.layout)
    : layPieces(course.laying, input, { reach, path, pastEnd: bending.pastEnd });
  if (!laid.ok) return laid;
  const layout = laid.value;
  const { follows } = fit;
  // (1) Where each piece lies, and what of it is cut off.
  const placed = wornPieces(layout, input);
  const shown = placed.filter(({ placement }) => !placement.hidden);
  // (2) The rows that the bend needs.
  const half = Math.max(...[segment, ...input.others].map(({ box }) => halfWidth(box)));
  const asked = bendTolerance(bending.tolerance, halfWidth(segment.box), gauge);
  const last = shown.reduce((end, piece) => Math.max(end, piece.station + piece.factor * piece.worn.length), reach.to);
  const first = shown.reduce((start, piece) => Math.min(start, piece.station), reach.from);
  const intoCorners = turnsIntoCorners(shape, { half, tolerance: asked });
  const cornerRows = [
    ...shape.table.kinks.flatMap(({ station: at, angle }) => (angle > CREASE_ANGLE ? [{ at, isEdge: true }] : [])),
    ...intoCorners.map((at) => ({ at, isEdge: false })),
  ];
  const turns = [
    ...(passes === 'own' ? intoCorners : []),
    ...(fit.turnsAtEnds?.(course.fit) ? [0, shape.table.length] : []),
    ...shape.lanes.flatMap(({ jumps = [] }) => jumps.filter((at) => at > reach.from && at < reach.to)),
    ...(shape.isHeld ? [reach.from, reach.to] : []),
    ...(shape.flush ?? []).flatMap(({ station, angle }) => {
      const over = Math.tan(angle / 2) * half * (station < (reach.from + reach.to) / 2 ? 1 : -1);
      return [station, station + over]; // where rows begin to lean
    }),
  ];
  const rows = () => withCorners(buildRowDensity(shape, [first, last], { half, tolerance: asked }, passes), turns);
  const slicing: BendingSpec['slicing'] = follows ? bending.slicing : { by: 'off' };
  const density = slicing.by === 'off' ? NO_ROWS : rows();
  // (3) What each wears. A cut through the segment fits itself; bodies fit each other when their ends do.
  const seams = new Seams();
  const meet = (before: WornAt, after: WornAt) => {
    const [a, b] = [before.placement, after.placement];
    if (!follows || fit.steps || a.gap !== 0 || a.cutAt !== undefined || b.piece - a.piece > 1) return false;
    const isOwn = (kind: Placement['kind']) => (kind === 'head' || kind === 'tail') && !input[kind];
    if (a.kind === 'body' && b.kind === 'body') {
      const isCutLeaning = a.meets?.end === true && before.worn !== after.worn;
      return !isCutLeaning && seams.between(before.worn, after.worn).matches;
    }
    return (a.kind === 'body' || isOwn(a.kind)) && (b.kind === 'body' || isOwn(b.kind));
  };
  const isRing = shown.length > 0 && isClosedRing(layout, shape) && meetsRound(shown, meet);
  const formInput: FormInput = { density, slicing, forms, isSingle: placed.length === 1, evens: new Map() };
  const wear = (i: number, open: readonly SegmentEnd[] = [], form: ShownForm = {}) => {
    const { part } = form;
    const piece = shown[i];
    const [before, after] = [shown[i - 1], shown[i + 1]];
    const covered: SegmentEnd[] = [];
    if (before ? meet(before, piece) : isRing) covered.push('start');
    if (after ? meet(piece, after) : isRing) covered.push('end');
    const isCutAway = (end: SegmentEnd) =>
      part !== undefined && (end === 'start' ? part.from > 0 : part.to < piece.worn.length);
    const closed = covered.filter((end) => !open.includes(end) && !isCutAway(end));
    return formOf(piece, closed, formInput, form);
  };
  const pieces: WornPiece[] = [];
  let vertices = 0;
  let worst = 1;
  for (const [i, piece] of shown.entries()) {
    const form = wear(i);
    vertices += form.mesh.positions.length / 3;
    if (vertices > MAX_RUN_VERTICES) return fail('run.too-large', { vertices, most: MAX_RUN_VERTICES });
    const { placement, worn, station, factor, cutAt, pins, strewn } = piece;
    pieces.push({ placement, worn, station, factor, cutAt, pins, strewn, form });
    const end = piece.station + piece.factor * piece.worn.length;
    worst = Math.max(worst, (rowsTo(density, end) - rowsTo(density, piece.station)) / MAX_SLICES);
  }
  const countSliced: LaidCourse['countSliced'] = (other) =>
    countForms(shown, { ...formInput, slicing: other, density: density === NO_ROWS ? rows() : density });
  const repin = layout.pinned && buildRepin(layout, course.laying.rule, path);
  return ok({
    layout,
    pieces,
    isRing,
    showing: wear,
    corners: slicing.by === 'off' ? [] : cornerRows,
    countSliced,
    tolerance: asked * worst * worst,
    repin,
    seam: seams.largest,
  });
}

const meetsRound = (shown: readonly WornAt[], meet: (before: WornAt, after: WornAt) => boolean): boolean => {
  const [first, last] = [shown[0], shown[shown.length - 1]];
  // Behind the last comes the first, whatever their numbers are.
  return meet(last, { ...first, placement: { ...first.placement, piece: last.placement.piece + 1 } });
};

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
