import { fail, ok } from '../../math/result';
import { add, distance, dot, normalize, scale, sub, type Vec3 } from '../../math/vec3';
import { COINCIDENT_RELATIVE } from '../../math/tolerance';
import { clothoidEnd, clothoidPiece } from '../clothoid';
import { shareLegs, turnAt } from '../corners';
import { defineCurveKind, fieldValue, type CurveField } from '../curve-kind';
import { toDistinctPoints } from '../distinct-points';
import { insertPlain } from '../legs';
import type { PathPoint } from '../path-spec';
import { arcPiece, linePiece, piecewise, type Piece } from '../piecewise';

const SHARE: CurveField = {
  key: 'easement',
  label: 'Share of a turn that eases',
  unit: 'share',
  initial: 0.5,
  min: 0.01,
  max: 1,
  step: 0.05,
};

/** Straight legs whose corners ease in and out of their radius by clothoids: the curvature rises and falls evenly, as on roads and rails. */
export const eased = defineCurveKind({
  kind: 'eased',
  label: 'Eased corners',
  hint: 'Straight legs; corners ease into their radius by clothoids: roads, rails',
  group: 'numbers',
  uses: { radius: true, handles: false },
  mannerOf: () => 'corner',
  fields: [SHARE],
  compile(shape) {
    const { points, from } = toDistinctPoints(shape);
    const n = points.length;
    const closed = shape.closed && n > 2;
    if (n < 2) return fail('curve.too-few-points', { needed: 2, given: n });
    const corners = fitEased(points, closed, fieldValue(shape, SHARE));
    const pieces: Piece[] = [];
    const starts: number[] = [];
    const p = points.map(({ position }) => position);
    for (let i = 0; i < n; i++) {
      const corner = corners[i];
      if (corner && (i > 0 || !closed)) pieces.push(...corner.pieces[0]);
      starts.push(pieces.length);
      if (corner) pieces.push(...corner.pieces[1]);
      if (i + 1 === n && !closed) break;
      const next = (i + 1) % n;
      const [a, b] = [corner?.end ?? p[i], corners[next]?.start ?? p[next]];
      if (distance(a, b) > COINCIDENT_RELATIVE * distance(p[i], p[next])) pieces.push(linePiece(a, b));
    }
    if (closed && corners[0]) pieces.push(...corners[0].pieces[0]);
    const params = Float64Array.from(from, (i) => starts[i] / pieces.length);
    return ok(piecewise(pieces, closed, params));
  },
  insert(shape, leg, t) {
    return insertPlain(shape, leg, this.compile(shape), t);
  },
});

interface EasedCorner {
  readonly start: Vec3;
  readonly end: Vec3;
  /** Up to the corner's middle, and from there on. */
  readonly pieces: readonly [readonly Piece[], readonly Piece[]];
}

/** Fits corners; where two need more of a leg than it has, both shrink as a whole, as rounded corners do. */
function fitEased(points: readonly PathPoint[], closed: boolean, share: number): (EasedCorner | undefined)[] {
  const n = points.length;
  const p = points.map(({ position }) => position);
  const wanted = p.map((_, i) => {
    const radius = points[i].radius ?? 0;
    const isCorner = n > 2 && (closed || (i > 0 && i < n - 1));
    return isCorner && radius > 0 ? radius * tangentPerRadius(turnAt(p, i), share) : 0;
  });
  const factor = shareLegs(p, wanted, closed);
  return p.map((corner, i) => {
    const turn = turnAt(p, i);
    if (!(wanted[i] > 0) || !Number.isFinite(wanted[i]) || turn < 1e-9) return undefined;
    return buildCorner(p[(i + n - 1) % n], corner, p[(i + 1) % n], points[i].radius! * factor[i], turn, share);
  });
}

/** From the corner back to where it begins to turn, for a radius of one: (1 + p) tan(turn / 2) + k, with shift p and k of the clothoid. */
function tangentPerRadius(turn: number, share: number): number {
  if (turn > Math.PI - 1e-6) return Infinity;
  const { shift, along } = clothoidEnd((turn * share) / 2);
  return (1 + shift) * Math.tan(turn / 2) + along;
}

function buildCorner(
  before: Vec3,
  corner: Vec3,
  after: Vec3,
  radius: number,
  turn: number,
  share: number,
): EasedCorner {
  const [ahead, away] = [normalize(sub(corner, before)), normalize(sub(after, corner))];
  const inward = normalize(sub(away, scale(ahead, dot(away, ahead))));
  const outward = normalize(sub(scale(ahead, -1), scale(away, dot(scale(ahead, -1), away))));
  const tangent = radius * tangentPerRadius(turn, share);
  const [start, end] = [sub(corner, scale(ahead, tangent)), add(corner, scale(away, tangent))];
  const eased = (turn * share) / 2;
  const { shift, along } = clothoidEnd(eased);
  const centre = add(start, add(scale(ahead, radius * along), scale(inward, radius * (1 + shift))));
  const arc = (from: number, to: number) => arcPiece(centre, scale(inward, -1), ahead, radius, from, to);
  const length = 2 * radius * eased;
  const into = clothoidPiece(start, ahead, inward, radius, length);
  const outOf = clothoidPiece(end, scale(away, -1), outward, radius, length);
  const hasArc = turn - 2 * eased > 1e-9;
  return {
    start,
    end,
    pieces: [
      [into, ...(hasArc ? [arc(eased, turn / 2)] : [])],
      [...(hasArc ? [arc(turn / 2, turn - eased)] : []), backwards(outOf)],
    ],
  };
}

/** The piece run through the other way. */
const backwards =
  (piece: Piece): Piece =>
  (out, at, t, order) => {
    piece(out, at, 1 - t, order);
    if (order === 1) for (let c = 0; c < 3; c++) out[at + c] = -out[at + c];
  };
