import { fail, ok } from '../../math/result';
import { add, anyNormal, cross, distance, normalize, scale, sub, type Vec3 } from '../../math/vec3';
import { defineCurveKind, fieldValue, type CurveField, type PathFigure } from '../curve-kind';
import { toDistinctPoints } from '../distinct-points';
import type { PathShape } from '../path-spec';
import { piecewise, type Piece } from '../piecewise';

const START: CurveField = {
  key: 'startRadius',
  label: 'Radius at the foot',
  unit: 'm',
  initial: 1,
  min: 0,
  max: 1e4,
  step: 0.05,
};
const END: CurveField = {
  key: 'endRadius',
  label: 'Radius at the top',
  unit: 'm',
  initial: 1,
  min: 0,
  max: 1e4,
  step: 0.05,
};
const TURNS: CurveField = {
  key: 'turns',
  label: 'Turns (negative turns left)',
  unit: 'ratio',
  initial: 3,
  min: -1000,
  max: 1000,
  step: 0.25,
};
const FROM: CurveField = {
  key: 'startAngle',
  label: 'Starts at',
  unit: 'angle',
  initial: 0,
  min: -1000,
  max: 1000,
  step: Math.PI / 36,
};

const axisOf = ({ points }: PathShape): { foot: Vec3; axis: Vec3; rise: number } => {
  const foot = points[0]?.position ?? [0, 0, 0];
  const top = points[1]?.position ?? foot;
  const rise = distance(foot, top);
  return { foot, axis: rise > 0 ? normalize(sub(top, foot)) : [0, 1, 0], rise };
};

const withHeight = (shape: PathShape, height: number): PathShape => {
  const { foot, axis } = axisOf(shape);
  const top = { ...shape.points[1], position: add(foot, scale(axis, height)) };
  return shape.points.length === 0 ? shape : { ...shape, points: [shape.points[0], top, ...shape.points.slice(2)] };
};

const HEIGHT: PathFigure = {
  key: 'height',
  label: 'Height',
  unit: 'm',
  min: 0,
  max: 1e5,
  step: 0.05,
  read: (shape) => axisOf(shape).rise,
  write: withHeight,
};

/** From one turn to the next along the axis. The height stays and the turns follow; a flat one rises. */
const PITCH: PathFigure = {
  key: 'pitch',
  label: 'Pitch',
  unit: 'm',
  min: 1e-4,
  max: 1e5,
  step: 0.01,
  read(shape) {
    const turns = Math.abs(fieldValue(shape, TURNS));
    return turns > 0 ? axisOf(shape).rise / turns : undefined;
  },
  write(shape, value) {
    const [{ rise }, turns] = [axisOf(shape), fieldValue(shape, TURNS)];
    if (rise === 0) return withHeight(shape, value * Math.abs(turns));
    return {
      ...shape,
      numbers: { ...shape.numbers, turns: (Math.sign(turns) || 1) * Math.min(rise / value, TURNS.max) },
    };
  },
};

/** What the run does at the foot or the top, blended in between; an end that says nothing does as the other one. */
const atEnd = (i: 0 | 1, what: 'gauge' | 'roll', field: Omit<PathFigure, 'read' | 'write' | 'key'>): PathFigure => ({
  ...field,
  key: `${what}${i}`,
  read: ({ points }) => points[i]?.[what] ?? points[1 - i]?.[what] ?? (what === 'gauge' ? 1 : 0),
  write(shape, value) {
    const { points } = shape.points.length === 1 ? withHeight(shape, 0) : shape;
    return { ...shape, points: points.map((point, k) => (k === i ? { ...point, [what]: value } : point)) };
  },
});

const GAUGE = { unit: 'ratio', min: 1e-3, max: 1e3, step: 0.05 } as const;
const ROLL = { unit: 'angle', min: -1e4, max: 1e4, step: Math.PI / 36 } as const;

/** Pieces a turn: arc length is then found to full precision. */
const PIECES = 8;

/** Winds about the line from the first point to the second; radius and rise change evenly with the turns. One point: flat on the ground. */
export const helix = defineCurveKind({
  kind: 'helix',
  label: 'Helix or spiral',
  hint: 'Winds about the line from the first point to the second',
  group: 'numbers',
  uses: { radius: false, handles: false },
  fields: [START, END, TURNS, FROM],
  figures: [
    HEIGHT,
    PITCH,
    atEnd(0, 'gauge', { label: 'Thickness at the foot', ...GAUGE }),
    atEnd(1, 'gauge', { label: 'Thickness at the top', ...GAUGE }),
    atEnd(0, 'roll', { label: 'Roll at the foot', ...ROLL }),
    atEnd(1, 'roll', { label: 'Roll at the top', ...ROLL }),
  ],
  turnsAbout: () => false, // where it starts is told from the scene's axes
  mirrored(shape) {
    const [turns, start] = [-fieldValue(shape, TURNS), fieldValue(shape, FROM)];
    return [-start, Math.PI - start].map((startAngle) => ({
      ...shape,
      numbers: { ...shape.numbers, turns, startAngle },
    }));
  },
  compile(shape) {
    const { points } = toDistinctPoints(shape);
    if (points.length < 1) return fail('curve.too-few-points', { needed: 1, given: 0 });
    const [r0, r1, turns, start] = [START, END, TURNS, FROM].map((field) => fieldValue(shape, field)) as Four;
    const foot = points[0].position;
    const top = points[1]?.position ?? foot;
    const rise = distance(foot, top);
    if (rise === 0 && (Math.max(r0, r1) === 0 || turns === 0)) return fail('curve.no-length');
    const axis = rise > 0 ? normalize(sub(top, foot)) : ([0, 1, 0] as Vec3);
    const e1 = Math.abs(axis[1]) > 0.999 ? ([1, 0, 0] as Vec3) : anyNormal(axis);
    const e2 = cross(axis, e1);
    const count = Math.max(1, Math.ceil(Math.abs(turns) * PIECES));
    const whole: Whole = { foot, axis, e1, e2, r0, slope: r1 - r0, rise, start, angle: -2 * Math.PI * turns };
    const pieces = Array.from({ length: count }, (_, k) => windingPiece(whole, k / count, 1 / count));
    return ok(
      piecewise(
        pieces,
        false,
        Float64Array.from(shape.points, (_, i) => (i === 0 ? 0 : 1)), // a flat one's second point may lie on the first
      ),
    );
  },
  reversed(shape) {
    const [startRadius, endRadius, turns, start] = [END, START, TURNS, FROM].map((field) =>
      fieldValue(shape, field),
    ) as Four;
    const [foot, top, ...rest] = shape.points;
    const angle = 2 * Math.PI * turns;
    // With the axis the sense of turning is reversed; a flat spiral has no other axis.
    const isFlat = toDistinctPoints(shape).points.length < 2;
    const numbers = isFlat
      ? { startRadius, endRadius, turns: -turns, startAngle: start - angle }
      : { startRadius, endRadius, turns, startAngle: angle - start };
    return { ...shape, points: top ? [top, foot, ...rest] : shape.points, numbers: { ...shape.numbers, ...numbers } };
  },
  insert: (shape) => ({ points: shape.points, index: -1 }),
});

type Four = [number, number, number, number];

interface Whole {
  readonly foot: Vec3;
  readonly axis: Vec3;
  readonly e1: Vec3;
  readonly e2: Vec3;
  readonly r0: number;
  readonly slope: number;
  readonly rise: number;
  readonly start: number;
  readonly angle: number;
}

/** foot + rise s axis + (r0 + slope s)(cos a e1 + sin a e2) with a = start + angle s, for s from `from` over `share`. */
function windingPiece(
  { foot, axis, e1, e2, r0, slope, rise, start, angle }: Whole,
  from: number,
  share: number,
): Piece {
  return (out, at, t, order) => {
    const s = from + share * t;
    const [c, n] = [Math.cos(start + angle * s), Math.sin(start + angle * s)];
    const r = r0 + slope * s;
    // Along e1 and e2, and its derivatives by s.
    const [x, y] = order === 0 ? [r * c, r * n] : order === 1 ? [slope * c - r * angle * n, slope * n + r * angle * c] : [-2 * slope * angle * n - r * angle * angle * c, 2 * slope * angle * c - r * angle * angle * n]; // prettier-ignore
    const h = order === 0 ? rise * s : order === 1 ? rise : 0;
    const k = share ** order;
    for (let i = 0; i < 3; i++) {
      out[at + i] = (order === 0 ? foot[i] : 0) + k * (x * e1[i] + y * e2[i] + h * axis[i]);
    }
  };
}
