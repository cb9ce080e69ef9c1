import { add, cross, distance, dot, length, normalize, scale, sub, type Vec3 } from '../math/vec3';
import type { PathPoint } from '../curve/path-spec';
import type { CurveSpec } from '../curve/registry';
import { deviation } from './deviation';

/** Samples of one arc have radii that differ by no more than this share, and lie in one plane within this cosine. */
const SAME_RADIUS = 0.02;
const SAME_PLANE = 0.999;
/** So many samples in a row make an arc, its ends apart. */
const LEAST_SAMPLES = 2;
/** An arc of more than this, radians, takes more than one corner. */
const MOST_TURN = (2 * Math.PI) / 3;
/** A turn of less, radians, at a place that belongs to no arc is part of a freer curve than legs and arcs. */
const LEAST_CORNER = Math.PI / 6;
/** Straight on within this angle, radians: such a place is needed for nothing. */
const STRAIGHT_ON = 1e-3;
/** How far the result may lie from the line beyond what chords leave out, as a share of its size. */
const OFF = 1e-5;

interface Circle {
  readonly centre: Vec3;
  readonly radius: number;
  /** Unit: the way in which it is run through, right-handed. */
  readonly normal: Vec3;
}

/**
 * A line of samples as what it was drawn as: straight legs with corners rounded to a radius, where it is made of legs and arcs only. Undefined
 * where it is anything else.
 */
export function legsAndArcs(points: readonly PathPoint[], closed: boolean): CurveSpec | undefined {
  const p = points.map(({ position }) => position);
  const line = closed ? fromLongestLeg(p) : p;
  const found = cornersOf(line);
  if (!found) return undefined;
  const { corners, sagitta, isBent } = found;
  if (isBent) return undefined; // arcs alone are a curve
  const ends = (i: number): PathPoint[] => (closed ? [] : [{ position: line[i] }]);
  const spec: CurveSpec = { kind: 'straight', closed, points: [...ends(0), ...corners, ...ends(line.length - 1)] };
  if (spec.points.length < (closed ? 3 : 2) || spec.points.length > points.length / 2) return undefined;
  const off = deviation({ kind: 'straight', closed, points: p.map((position) => ({ position })) }, spec);
  const size = Math.max(...p.map((place) => distance(place, p[0])));
  return off !== undefined && off <= sagitta * 1.2 + size * OFF ? spec : undefined;
}

/** A closed line begun at its longest leg, which belongs to no arc, and led on until all its places have two neighbours. */
function fromLongestLeg(p: readonly Vec3[]): Vec3[] {
  const n = p.length;
  let first = 0;
  const leg = (i: number) => distance(p[i], p[(i + 1) % n]);
  for (let i = 1; i < n; i++) if (leg(i) > leg(first)) first = i;
  return Array.from({ length: n + 2 }, (_, i) => p[(first + i) % n]);
}

/** The corners of a line, its ends apart, the most that a chord leaves out of an arc, and whether all is arcs; undefined where it is made of more. */
function cornersOf(line: readonly Vec3[]): { corners: PathPoint[]; sagitta: number; isBent: boolean } | undefined {
  const corners: PathPoint[] = [];
  let inArcs = 0; // legs
  let sagitta = 0;
  for (let i = 1; i < line.length - 1;) {
    const circle = circleAt(line, i);
    let end = i;
    while (circle && end + 1 < line.length - 1 && isOn(circle, circleAt(line, end + 1))) end++;
    if (circle && end - i + 1 >= LEAST_SAMPLES) {
      corners.push(...arcCorners(circle, line[i - 1], line[end + 1], line[i]));
      for (let k = i; k <= end + 1; k++) {
        const half = Math.min(distance(line[k - 1], line[k]) / (2 * circle.radius), 1);
        sagitta = Math.max(sagitta, circle.radius * (1 - Math.cos(Math.asin(half))));
      }
      inArcs += end - i + 2;
      // The arc's last place is where the next leg begins, or the next arc.
      i = end + 2;
      continue;
    }
    const turn = turnOf(line, i);
    const beginsArc = isArc(line, i + 1);
    if (turn > LEAST_CORNER && !beginsArc) corners.push({ position: line[i] });
    else if (turn > STRAIGHT_ON && !beginsArc) return undefined;
    i++;
  }
  return { corners, sagitta, isBent: inArcs >= line.length - 1 };
}

const isArc = (line: readonly Vec3[], i: number): boolean => {
  const circle = circleAt(line, i);
  return circle !== undefined && isOn(circle, circleAt(line, i + 1));
};

const isOn = (a: Circle, b: Circle | undefined): boolean =>
  b !== undefined && Math.abs(b.radius / a.radius - 1) < SAME_RADIUS && dot(a.normal, b.normal) > SAME_PLANE;

function turnOf(line: readonly Vec3[], i: number): number {
  const [a, b] = [normalize(sub(line[i], line[i - 1])), normalize(sub(line[i + 1], line[i]))];
  return Math.atan2(length(cross(a, b)), dot(a, b));
}

/** The circle through a place and its neighbours; undefined at the ends and where they lie on a line. */
function circleAt(line: readonly Vec3[], i: number): Circle | undefined {
  if (i < 1 || i + 1 >= line.length) return undefined;
  const [a, b, c] = [line[i - 1], line[i], line[i + 1]];
  const [u, v] = [sub(b, a), sub(c, a)];
  const w = cross(u, v);
  const ww = dot(w, w);
  if (turnOf(line, i) < STRAIGHT_ON || ww === 0) return undefined;
  const toCentre = scale(add(scale(cross(v, w), dot(u, u)), scale(cross(w, u), dot(v, v))), 1 / (2 * ww));
  return { centre: add(a, toCentre), radius: length(toCentre), normal: normalize(w) };
}

/** The corners that an arc rounds: where its tangents meet. `over` lies on it, behind its start. */
function arcCorners({ centre, radius, normal }: Circle, start: Vec3, end: Vec3, over: Vec3): PathPoint[] {
  const e1 = normalize(sub(start, centre));
  const e2 = cross(normal, e1);
  const angleOf = (p: Vec3) => {
    const angle = Math.atan2(dot(sub(p, centre), e2), dot(sub(p, centre), e1));
    return angle < 0 ? angle + 2 * Math.PI : angle;
  };
  const turn = Math.max(angleOf(end), angleOf(over));
  const count = Math.ceil(turn / MOST_TURN);
  return Array.from({ length: count }, (_, k): PathPoint => {
    const middle = (turn * (k + 0.5)) / count;
    const far = radius / Math.cos(turn / count / 2);
    const way = add(scale(e1, Math.cos(middle)), scale(e2, Math.sin(middle)));
    return { position: add(centre, scale(way, far)), radius: radius * (1 - 1e-9) }; // room for rounding beside the next arc
  });
}
