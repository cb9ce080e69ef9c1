import { firstAfter } from '../../math/first-after';
import { cutWhereItLies } from '../cut-off';
import { openEnds, type SegmentEnd } from '../open-ends';
import { askedPlanes, evenPlanes } from './plan-slices';
import { MAX_SLICES, type SlicingSpec } from '../slicing-spec';
import type { PreparedSegment } from '../prepared-segment';
import { countSliced, sliceSegment } from '../slice';
import { splitRows } from '../split-rows';
import { placeAlong } from '../stiff-zones';
import { densest, equalRows, evenIfTwisted, rowsTo, type RowDensity } from './row-density';
import type { FormStore } from './form-store';

/** A piece as it lies when all has grown. Metres. */
export interface LaidPiece {
  readonly worn: PreparedSegment;
  readonly station: number;
  /** Metres along the path per metre of segment. */
  readonly factor: number;
  /** x at which the path's end cuts it off; absent = it is whole. */
  readonly cutAt?: number | undefined;
}

export interface FormInput {
  readonly density: RowDensity;
  readonly slicing: SlicingSpec;
  readonly forms: FormStore;
  /** The run is one piece: its rows follow the path. Many pieces share a few even slicings where that costs little. */
  readonly isSingle: boolean;
  /** Even slicings that pieces share, by length and rows. */
  readonly evens: Map<string, Planes>;
}

/** Row counts that pieces share are so many to a doubling: few forms serve all, and none has a fifth too many. */
const STEPS = 4;
/** Pieces share an even slicing unless one of their own has so many times fewer rows. */
const SHARED_COST = 4;

/** x of a piece from where to where it shows, metres. */
export interface ShownPart {
  readonly from: number;
  readonly to: number;
}

/** What of a piece shows at some moment, and where it then lies over sharp corners. */
export interface ShownForm {
  /** By true cuts; absent = all of it. */
  readonly part?: ShownPart | undefined;
  /** Rows that corners need. */
  readonly corners?: readonly CornerPlace[];
}

/** Where a corner needs a row: a station of the path, or x of a piece, metres; and whether there is an edge. */
export interface CornerPlace {
  readonly at: number;
  readonly isEdge: boolean;
}

/**
 * The form of its segment that a piece wears: sliced where the bend asks for it, without the ends that a neighbour covers. One of which only a part
 * shows, or which comes over a corner, is made anew every time: while something moves there is another one in every frame.
 */
export function formOf(
  piece: LaidPiece,
  ends: readonly SegmentEnd[],
  input: FormInput,
  { part, corners = [] }: ShownForm = {},
): PreparedSegment {
  const { worn, cutAt } = piece;
  const planes = withEdges(planesOf(piece, input), corners, worn.length);
  if (part) return madeForm(piece, planes, ends, { from: part.from, to: Math.min(part.to, cutAt ?? Infinity) });
  const key = `${planes.key}:${ends.join()}:${cutAt ?? ''}`;
  const whole = cutAt === undefined ? undefined : { from: 0, to: cutAt };
  if (corners.length > 0) return madeForm(piece, planes, ends, whole);
  return input.forms.get(worn, key, () => madeForm(piece, planes, ends, whole));
}

function madeForm(
  { worn }: LaidPiece,
  { planes, longest, edges }: Planes,
  ends: readonly SegmentEnd[],
  part: ShownPart | undefined,
): PreparedSegment {
  if (!part) return splitRows(openEnds(sliceSegment(worn, planes, longest), ends), edges);
  // Planes beside the part have nothing to cut.
  const near = worn.length * EDGE * 2;
  const isIn = (x: number) => x > part.from + near && x < part.to - near;
  const kept = [...planes.keys()].filter((i) => isIn(planes[i]));
  const pick = (of: Float64Array) => Float64Array.from(of.length > 0 ? kept : [], (i) => of[i]);
  const sliced = sliceSegment(cutWhereItLies(worn, part.from, part.to), pick(planes), pick(longest));
  return splitRows(openEnds(sliced, ends), edges.filter(isIn));
}

/** Where a piece is cut into rows. */
export interface Planes {
  /** Those with the same are the same. */
  readonly key: string;
  /** Metres along the segment, ascending. */
  readonly planes: Float64Array;
  /** See {@link sliceSegment}. */
  readonly longest: Float64Array;
  /** Those of the planes at which the path has an edge. */
  readonly edges: readonly number[];
}

const keyed = (made: Omit<Planes, 'key'>): Planes => ({
  ...made,
  key: `${made.planes.join()}:${made.longest[0] ?? ''}:${made.edges.join()}`,
});

function planesOf({ worn, station, factor }: LaidPiece, { density, slicing, isSingle, evens }: FormInput): Planes {
  const { length } = worn;
  if (slicing.by === 'off') return keyed({ planes: new Float64Array(), longest: new Float64Array(), edges: [] });
  const end = station + factor * length;
  const toX = placeAlong(worn, factor);
  const inside = (stations: ArrayLike<number>) =>
    Array.from(stations).flatMap((s) => {
      const x = toX(s - station);
      return x !== undefined && x > length * EDGE && x < length * (1 - EDGE) ? [x] : [];
    });
  const own = between(density.corners, station, end);
  const corners = own.length > 0 ? inside(own) : [];
  const sharp = between(density.edges, station, end);
  const edges = sharp.length > 0 ? inside(sharp) : [];
  if (slicing.by !== 'auto') return keyed({ ...withCorners(askedPlanes(slicing, length), 0, corners, length), edges });
  const wanted = rowsTo(density, end) - rowsTo(density, station);
  const most = Math.ceil(densest(density, station, end) * (end - station) - 1e-9);
  const stepped = Math.ceil(2 ** (Math.ceil(Math.log2(Math.max(most, 1)) * STEPS) / STEPS) - 1e-9);
  const shared = evenIfTwisted(density, station, end, stepped);
  if (!isSingle && shared <= MAX_SLICES && shared <= SHARED_COST * Math.max(wanted, 1) && corners.length === 0) {
    const name = `${length}:${shared}`;
    const known = edges.length === 0 ? evens.get(name) : undefined;
    if (known) return known;
    const made = keyed({ ...withCorners(evenPlanes(length, shared), length / shared, [], length), edges });
    if (edges.length === 0) evens.set(name, made);
    return made;
  }
  // Between corners rows of equal need.
  const bounds = [station, ...own, end];
  const least = wanted > MAX_SLICES ? MAX_SLICES / wanted : 1;
  const rows = bounds.slice(1).flatMap((to, i) => {
    const need = (rowsTo(density, to) - rowsTo(density, bounds[i])) * least;
    const count = Math.max(Math.ceil(need - 1e-9), 1);
    return equalRows(density, bounds[i], to, evenIfTwisted(density, bounds[i], to, count));
  });
  return keyed({ ...withCorners(Float64Array.from(inside(rows)), undefined, corners, length), edges });
}

/** Planes with more for corners, in place of those that lie on them. */
function withEdges(own: Planes, corners: readonly CornerPlace[], length: number): Planes {
  if (corners.length === 0) return own;
  const near = length * EDGE * 2;
  const isFree = (x: number) => corners.every(({ at }) => Math.abs(at - x) > near);
  const all = [
    ...Array.from(own.planes, (x, i) => ({ x, longest: own.longest[i] })).filter(({ x }) => isFree(x)),
    ...corners.map(({ at }) => ({ x: at, longest: 0 })),
  ].sort((a, b) => a.x - b.x);
  return keyed({
    planes: Float64Array.from(all, ({ x }) => x),
    longest: Float64Array.from(all, ({ longest }) => longest),
    edges: [...own.edges.filter(isFree), ...corners.flatMap(({ at, isEdge }) => (isEdge ? [at] : []))].sort(
      (a, b) => a - b,
    ),
  });
}

/** Where corners lie in a piece that lies at a station, metres: those at its ends are its neighbours' as well and need no row. */
export function cornersInside(
  worn: PreparedSegment,
  { station, factor }: Pick<LaidPiece, 'station' | 'factor'>,
  corners: readonly CornerPlace[],
): CornerPlace[] {
  const toX = placeAlong(worn, factor);
  const end = station + factor * worn.length;
  return corners.flatMap(({ at, isEdge }) => {
    if (at <= station || at >= end) return [];
    const x = toX(at - station);
    return x !== undefined && x > worn.length * EDGE && x < worn.length * (1 - EDGE) ? [{ at: x, isEdge }] : [];
  });
}

/** Pieces that are counted one by one; of more, so many are taken from all over the run for the rest. */
const MOST_COUNTED = 100;

/** Triangles of pieces if they were sliced in another way; of very many pieces about that. */
export function countForms(pieces: readonly LaidPiece[], input: FormInput): number {
  const known = new Map<string, number>();
  const counted = Math.min(pieces.length, MOST_COUNTED);
  let triangles = 0;
  for (let i = 0; i < counted; i++) {
    const piece = pieces[Math.floor((i * pieces.length) / counted)];
    const { planes, longest } = planesOf(piece, input);
    const key = `${piece.worn.length}:${planes.join()}:${longest[0] ?? ''}`;
    let count = known.get(key);
    if (count === undefined) known.set(key, (count = countSliced(piece.worn, planes, longest)));
    triangles += count;
  }
  return counted > 0 ? Math.round((triangles * pieces.length) / counted) : 0;
}

/** Those of ascending stations that lie strictly between two. */
const between = (stations: Float64Array, from: number, to: number): Float64Array => {
  let end = firstAfter(stations, to);
  if (end > 0 && stations[end - 1] === to) end--;
  return stations.subarray(firstAfter(stations, from), end);
};

/** Rows nearer to an end than this share of a segment are those of the end. */
const EDGE = 2e-6;

/** The planes with those of corners, which cut everything, among them; planes that lie on one give way. `whole` = what stays whole, metres; else the way to the next. */
function withCorners(
  planes: Float64Array,
  whole: number | undefined,
  corners: readonly number[],
  length: number,
): Omit<Planes, 'edges' | 'key'> {
  const near = length * EDGE * 2;
  const kept = planes.filter((x) => corners.every((corner) => Math.abs(corner - x) > near));
  const all = Float64Array.from([...kept, ...corners]).sort();
  const longest = all.map((x, i) => {
    if (corners.includes(x)) return 0;
    return whole ?? Math.min(x - (all[i - 1] ?? 0), (all[i + 1] ?? length) - x);
  });
  return { planes: all, longest };
}
