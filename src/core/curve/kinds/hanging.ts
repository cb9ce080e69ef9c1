import { fail, ok } from '../../math/result';
import { add, distance, scale, type Vec3 } from '../../math/vec3';
import { defineCurveKind, fieldValue, type CurveField } from '../curve-kind';
import { toDistinctPoints } from '../distinct-points';
import { insertPlain } from '../legs';
import { linePiece, piecewise, type Piece } from '../piecewise';

const SLACK: CurveField = { key: 'slack', label: 'Slack', unit: 'share', initial: 0.05, min: 0, max: 10, step: 0.01 };

/** A line that hangs by its own weight from point to point, longer than the straight way by its slack: catenaries. */
export const hanging = defineCurveKind({
  kind: 'hanging',
  label: 'Hanging line',
  hint: 'Hangs from point to point with some slack: lines, wires, chains',
  group: 'numbers',
  uses: { radius: false, handles: false },
  fields: [SLACK],
  turnsAbout: (axis) => Math.abs(axis[1]) > 1 - 1e-9,
  compile(shape) {
    const { points, from } = toDistinctPoints(shape);
    const n = points.length;
    if (n < 2) return fail('curve.too-few-points', { needed: 2, given: n });
    const closed = shape.closed && n > 2;
    const legs = closed ? n : n - 1;
    const slack = fieldValue(shape, SLACK);
    const starts: number[] = [];
    const pieces: Piece[] = [];
    for (let i = 0; i < legs; i++) {
      starts.push(pieces.length);
      pieces.push(...hangingPieces(points[i].position, points[(i + 1) % n].position, slack));
    }
    const params = Float64Array.from(from, (i) => (starts[i] ?? pieces.length) / pieces.length);
    return ok(piecewise(pieces, closed, params));
  },
  insert(shape, leg, t) {
    return insertPlain(shape, leg, this.compile(shape), t);
  },
});

/** Where p lies over q, the catenary's limit: straight down, as far below the lower one as the slack allows, and up again. */
function hangingPieces(p: Vec3, q: Vec3, slack: number): Piece[] {
  const chord = distance(p, q);
  const isPlumb = Math.hypot(q[0] - p[0], q[2] - p[2]) <= chord * PLUMB;
  if (!isPlumb || slack <= 0) return [hangingPiece(p, q, slack)];
  const lowest = p[1] < q[1] ? p : q;
  const bottom: Vec3 = [lowest[0], lowest[1] - (chord * slack) / 2, lowest[2]];
  return [linePiece(p, bottom), linePiece(bottom, q)];
}

/** Width over chord below which a line hangs straight down. */
const PLUMB = 1e-6;

/**
 * A catenary from p to q, by its own length s: along = a asinh(s / a), up = sqrt(a² + s²), s from s0 on. Where p lies over q it
 * is the straight line between them. Length L, width h and height v give a from sqrt(L² - v²) = 2 a sinh(h / 2a).
 */
function hangingPiece(p: Vec3, q: Vec3, slack: number): Piece {
  const [dx, v, dz] = [q[0] - p[0], q[1] - p[1], q[2] - p[2]];
  const h = Math.hypot(dx, dz);
  const chord = distance(p, q);
  const length = chord * (1 + slack);
  // In terms of x = h / 2a: sinh(x) / x = sqrt(L² - v²) / h.
  const ratio = Math.sqrt(length * length - v * v) / h;
  if (!(h > chord * PLUMB) || ratio < 1 + 1e-12) return linePiece(p, q);
  const a = h / (2 * solveSinhRatio(ratio));
  // Both ends' heights fit where v = 2 a sinh(h / 2a) sinh(middle / a), the middle measured along from the lowest point.
  const middle = a * Math.asinh(v / (2 * a * Math.sinh(h / (2 * a))));
  const s0 = a * Math.sinh((middle - h / 2) / a);
  const along: Vec3 = [dx / h, 0, dz / h];
  const [x0, y0] = [a * Math.asinh(s0 / a), Math.hypot(a, s0)];
  const origin = add(p, scale(along, -x0));
  return (out, at, t, order) => {
    const s = s0 + length * t;
    const root = Math.hypot(a, s);
    const x =
      order === 0 ? a * Math.asinh(s / a) : order === 1 ? (length * a) / root : (-length * length * a * s) / root ** 3;
    const y = order === 0 ? root - y0 : order === 1 ? (length * s) / root : (length * length * a * a) / root ** 3;
    const base = order === 0 ? origin : ZERO;
    out[at] = base[0] + x * along[0];
    out[at + 1] = base[1] + y;
    out[at + 2] = base[2] + x * along[2];
  };
}

const ZERO: Vec3 = [0, 0, 0];

/** x > 0 with sinh(x) / x = ratio > 1, by Newton's method from above: the function is convex. */
function solveSinhRatio(ratio: number): number {
  let x = ratio < 3 ? Math.sqrt(6 * (ratio - 1)) : Math.log(2 * ratio) + Math.log(Math.log(2 * ratio));
  for (let k = 0; k < 60; k++) {
    const step = (Math.sinh(x) - ratio * x) / (Math.cosh(x) - ratio);
    x -= step;
    if (Math.abs(step) < 1e-15 * x) break;
  }
  return x;
}
