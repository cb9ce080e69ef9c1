import type { IEntity } from 'dxf-parser';
import type { IArcEntity } from 'dxf-parser/dist/entities/arc';
import type { ILwpolylineEntity } from 'dxf-parser/dist/entities/lwpolyline';
import type { IPolylineEntity } from 'dxf-parser/dist/entities/polyline';
import { cross, normalize, scale, X_AXIS as X, Y_AXIS as Y, Z_AXIS as Z, type Vec3 } from '../../core/math/vec3';
import { CubicLegs } from './cubic-legs';
import { numbersOf, placesOf, type GroupsEntity } from './dxf-groups';
import type { BroughtPath } from './path-format';
import { splineLegs } from './spline-legs';

interface Corner {
  readonly x: number;
  readonly y: number;
  readonly z?: number;
  readonly bulge?: number;
}

/** The line that an entity of a DXF is; undefined where it is none, or its numbers do not fit together. */
export function pathOf(entity: IEntity, name: string): BroughtPath | undefined {
  switch (entity.type) {
    case 'LWPOLYLINE': {
      const { vertices, shape, elevation, ...normal } = entity as ILwpolylineEntity & Extruded;
      const corners = (vertices ?? []).map((v) => ({ ...v, z: elevation ?? 0 }));
      return inSpace(polyline(corners, shape, name), extrusionOf(normal));
    }
    case 'POLYLINE': {
      const { vertices, shape, is3dPolyline, extrusionDirection } = entity as IPolylineEntity;
      const path = polyline(vertices ?? [], shape, name);
      return is3dPolyline || !extrusionDirection ? path : inSpace(path, placeOf(extrusionDirection));
    }
    case 'ARC': {
      const { center, radius, startAngle, endAngle, ...normal } = entity as IArcEntity & Extruded;
      const [u, v] = [scale(X, radius), scale(Y, radius)];
      return inSpace(arcOf(placeOf(center), u, v, startAngle, past(startAngle, endAngle), name), extrusionOf(normal));
    }
    case 'CIRCLE': {
      const { groups } = entity as GroupsEntity;
      const [centre, radius] = [placesOf(groups, 10)[0], numbersOf(groups, 40)[0]];
      if (!centre || !radius) return undefined;
      const circle = arcOf(centre, scale(X, radius), scale(Y, radius), 0, 2 * Math.PI, name);
      return inSpace(circle, placesOf(groups, 210)[0] ?? Z);
    }
    case 'ELLIPSE': {
      const { groups } = entity as GroupsEntity;
      const [centre, u, normal = Z] = [placesOf(groups, 10)[0], placesOf(groups, 11)[0], placesOf(groups, 210)[0]];
      const ratio = numbersOf(groups, 40)[0];
      if (!centre || !u || !ratio) return undefined;
      const v = scale(cross(normalize(normal), u), ratio);
      const [start = 0, end = 2 * Math.PI] = [numbersOf(groups, 41)[0], numbersOf(groups, 42)[0]];
      return arcOf(centre, u, v, start, past(start, end), name);
    }
    case 'SPLINE': {
      const { groups } = entity as GroupsEntity;
      const spline = {
        degree: numbersOf(groups, 71)[0] ?? 3,
        knots: numbersOf(groups, 40),
        weights: numbersOf(groups, 41),
        controls: placesOf(groups, 10),
        fitPoints: placesOf(groups, 11),
      };
      return splineLegs(spline, name);
    }
    default:
      return undefined;
  }
}

export const placeOf = ({ x, y, z }: { x: number; y: number; z?: number }): Vec3 => [x, y, z ?? 0];

interface Extruded {
  readonly extrusionDirectionX?: number;
  readonly extrusionDirectionY?: number;
  readonly extrusionDirectionZ?: number;
}

const extrusionOf = (e: Extruded): Vec3 => [
  e.extrusionDirectionX ?? 0,
  e.extrusionDirectionY ?? 0,
  e.extrusionDirectionZ ?? 1,
];

/** From the axes of a flat entity to those of the drawing: its normal is z, x by the arbitrary axis algorithm (DXF Reference). */
function inSpace(path: BroughtPath | undefined, normal: Vec3): BroughtPath | undefined {
  const z = normalize(normal, Z);
  if (!path || z[2] === 1) return path;
  const x = normalize(cross(Math.abs(z[0]) < 1 / 64 && Math.abs(z[1]) < 1 / 64 ? Y : Z, z));
  const y = cross(z, x);
  const turned = (v: Vec3): Vec3 => [0, 1, 2].map((c) => v[0] * x[c]! + v[1] * y[c]! + v[2] * z[c]!) as unknown as Vec3;
  const points = path.points.map(({ position, handleIn, handleOut, ...rest }) => ({
    ...rest,
    position: turned(position),
    ...(handleIn && { handleIn: turned(handleIn) }),
    ...(handleOut && { handleOut: turned(handleOut) }),
  }));
  return { ...path, points };
}

/** The end angle, counterclockwise past the start. */
const past = (start: number, end: number): number => (end > start + 1e-12 ? end : end + 2 * Math.PI);

function arcOf(centre: Vec3, u: Vec3, v: Vec3, from: number, to: number, name: string): BroughtPath {
  const at = (c: 0 | 1 | 2) => centre[c] + Math.cos(from) * u[c] + Math.sin(from) * v[c];
  const legs = new CubicLegs([at(0), at(1), at(2)]);
  legs.arc(centre, u, v, from, to);
  return legs.build(name);
}

/** Bulge = tan of a quarter of the arc's angle, counterclockwise above 0 (DXF Reference, LWPOLYLINE, code 42). */
function polyline(corners: readonly Corner[], closed: boolean, name: string): BroughtPath | undefined {
  if (corners.length < 2) return undefined;
  const legs = new CubicLegs(placeOf(corners[0]!));
  const last = closed ? corners.length : corners.length - 1;
  for (let i = 0; i < last; i++) {
    const [a, b] = [placeOf(corners[i]!), placeOf(corners[(i + 1) % corners.length]!)];
    const bulge = corners[i]!.bulge ?? 0;
    if (Math.abs(bulge) < 1e-12) legs.line(b);
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
