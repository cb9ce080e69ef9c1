import { cross, normalize, scale, X_AXIS as X, Y_AXIS as Y, Z_AXIS as Z, type Vec3 } from '../../core/math/vec3';
import { CubicLegs } from './cubic-legs';
import { numberOf, numbersOf, placesOf, type Entity } from './dxf-groups';
import type { BroughtPath } from './path-format';
import { splineLegs } from './spline-legs';

const DEGREE = Math.PI / 180;
const TURN = 2 * Math.PI;

interface Corner {
  readonly place: Vec3;
  readonly bulge: number;
}

/**
 * The line that an entity of a DXF is (DXF Reference, ENTITIES section); undefined where it is none, or its numbers do not fit
 * together. `vertices` = the VERTEX entities of a POLYLINE.
 */
export function pathOf(entity: Entity, vertices: readonly Entity[], name: string): BroughtPath | undefined {
  const at = (code: number) => placesOf(entity, code)[0];
  const normal = at(210) ?? Z;
  const isClosed = (numberOf(entity, 70) & 1) !== 0;
  switch (entity.type) {
    case 'LWPOLYLINE':
      return inSpace(polyline(lightCorners(entity), isClosed, name), normal);
    case 'POLYLINE': {
      const flags = numberOf(entity, 70);
      if ((flags & 0b1010000) !== 0) return undefined; // a mesh
      const corners = vertices
        .filter((vertex) => (numberOf(vertex, 70) & 16) === 0) // no control point of a curve that was fitted
        .map((vertex): Corner => ({ place: placesOf(vertex, 10)[0] ?? [0, 0, 0], bulge: numberOf(vertex, 42) }));
      const path = polyline(corners, isClosed, name);
      return (flags & 8) !== 0 ? path : inSpace(path, normal);
    }
    case 'ARC':
    case 'CIRCLE': {
      const [centre, radius] = [at(10), numberOf(entity, 40)];
      if (!centre || !(radius > 0)) return undefined;
      const isArc = entity.type === 'ARC';
      const from = isArc ? numberOf(entity, 50) * DEGREE : 0;
      const to = isArc ? past(from, numberOf(entity, 51) * DEGREE) : TURN;
      return inSpace(arcOf(centre, scale(X, radius), scale(Y, radius), from, to, name), normal);
    }
    case 'ELLIPSE': {
      const [centre, u, ratio] = [at(10), at(11), numberOf(entity, 40)];
      if (!centre || !u || !ratio) return undefined;
      const v = scale(cross(normalize(normal), u), ratio);
      const start = numberOf(entity, 41);
      return arcOf(centre, u, v, start, past(start, numberOf(entity, 42, TURN)), name);
    }
    case 'SPLINE': {
      const spline = {
        degree: numberOf(entity, 71, 3),
        knots: numbersOf(entity, 40),
        weights: numbersOf(entity, 41),
        controls: placesOf(entity, 10),
        fitPoints: placesOf(entity, 11),
      };
      return splineLegs(spline, name);
    }
    default:
      return undefined;
  }
}

/** Corners of a light polyline: 10 and 20 begin one, 42 is its bulge; 38 is how high all lie. */
function lightCorners(entity: Entity): Corner[] {
  const height = numberOf(entity, 38);
  const corners: { place: [number, number, number]; bulge: number }[] = [];
  for (const { code, value } of entity.groups) {
    const corner = corners[corners.length - 1];
    if (code === 10) corners.push({ place: [Number(value), 0, height], bulge: 0 });
    else if (code === 20 && corner) corner.place[1] = Number(value);
    else if (code === 42 && corner) corner.bulge = Number(value);
  }
  return corners;
}

/** From the axes of a flat entity to those of the drawing: its normal is z, x by the arbitrary axis algorithm (DXF Reference). */
function inSpace(path: BroughtPath | undefined, normal: Vec3): BroughtPath | undefined {
  const z = normalize(normal, Z);
  return !path || z[2] === 1 ? path : mapped(path, axesOf(z));
}

/** x, y and z of what is drawn with a normal. */
export function axesOf(z: Vec3): readonly [Vec3, Vec3, Vec3] {
  const x = normalize(cross(Math.abs(z[0]) < 1 / 64 && Math.abs(z[1]) < 1 / 64 ? Y : Z, z));
  return [x, cross(z, x), z];
}

/** A path in other axes, moved by `by`. */
export function mapped(path: BroughtPath, [x, y, z]: readonly [Vec3, Vec3, Vec3], by: Vec3 = [0, 0, 0]): BroughtPath {
  const turned = (v: Vec3, to: Vec3): Vec3 =>
    [0, 1, 2].map((c) => v[0] * x[c] + v[1] * y[c] + v[2] * z[c] + to[c]) as unknown as Vec3;
  const points = path.points.map(({ position, handleIn, handleOut, ...rest }) => ({
    ...rest,
    position: turned(position, by),
    ...(handleIn && { handleIn: turned(handleIn, [0, 0, 0]) }),
    ...(handleOut && { handleOut: turned(handleOut, [0, 0, 0]) }),
  }));
  return { ...path, points };
}

/** The end angle, counterclockwise past the start and by one turn at the most. */
function past(start: number, end: number): number {
  const sweep = (end - start) % TURN;
  return start + (sweep > 1e-12 ? sweep : sweep + TURN);
}

function arcOf(centre: Vec3, u: Vec3, v: Vec3, from: number, to: number, name: string): BroughtPath | undefined {
  if (!Number.isFinite(from) || !Number.isFinite(to)) return undefined;
  const at = (c: 0 | 1 | 2) => centre[c] + Math.cos(from) * u[c] + Math.sin(from) * v[c];
  const legs = new CubicLegs([at(0), at(1), at(2)]);
  legs.arc(centre, u, v, from, to);
  return legs.build(name);
}

/** Bulge = tan of a quarter of the arc's angle, counterclockwise above 0 (DXF Reference, LWPOLYLINE, code 42). */
function polyline(corners: readonly Corner[], closed: boolean, name: string): BroughtPath | undefined {
  if (corners.length < 2) return undefined;
  const legs = new CubicLegs(corners[0].place);
  const last = closed ? corners.length : corners.length - 1;
  for (let i = 0; i < last; i++) {
    const { place: a, bulge } = corners[i];
    const b = corners[(i + 1) % corners.length].place;
    if (!(Math.abs(bulge) >= 1e-12)) legs.line(b);
    else {
      const h = (1 / bulge - bulge) / 4; // from the chord's middle to the centre, as a share of the chord
      const centre: Vec3 = [(a[0] + b[0]) / 2 - (b[1] - a[1]) * h, (a[1] + b[1]) / 2 + (b[0] - a[0]) * h, a[2]];
      const radius = Math.hypot(a[0] - centre[0], a[1] - centre[1]);
      const from = Math.atan2(a[1] - centre[1], a[0] - centre[0]);
      legs.arc(centre, scale(X, radius), scale(Y, radius), from, from + 4 * Math.atan(bulge));
    }
  }
  return legs.build(name, closed);
}
