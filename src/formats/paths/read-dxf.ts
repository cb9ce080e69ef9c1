import DxfParser, { type IEntity } from 'dxf-parser';
import type { IArcEntity } from 'dxf-parser/dist/entities/arc';
import type { ICircleEntity } from 'dxf-parser/dist/entities/circle';
import type { IEllipseEntity } from 'dxf-parser/dist/entities/ellipse';
import type { ILineEntity } from 'dxf-parser/dist/entities/line';
import type { ILwpolylineEntity } from 'dxf-parser/dist/entities/lwpolyline';
import type { IPolylineEntity } from 'dxf-parser/dist/entities/polyline';
import type { ISplineEntity } from 'dxf-parser/dist/entities/spline';
import { fail, ok, type Problem, type Result } from '../../core/math/result';
import { cross, scale, type Vec3 } from '../../core/math/vec3';
import { chainLines } from './chain-lines';
import { CubicLegs } from './cubic-legs';
import { definePathReader, textOf, type BroughtPath, type BroughtPaths } from './path-format';
import { splineLegs } from './spline-legs';

/** Metres per unit by $INSUNITS (DXF Reference, HEADER section): inches, feet, miles, mm, cm, m, km, yards, dm. */
const UNITS: Readonly<Record<number, number>> = {
  1: 0.0254,
  2: 0.3048,
  3: 1609.344,
  4: 0.001,
  5: 0.01,
  6: 1,
  7: 1000,
  10: 0.9144,
  14: 0.1,
};

interface Corner {
  readonly x: number;
  readonly y: number;
  readonly z?: number;
  readonly bulge?: number;
}

/**
 * Lines, polylines with bulges, arcs, circles, ellipses and splines of a DXF; single lines that run on into each other are joined. Problems:
 * `dxf.broken` with `reason`, `paths.none`; a warning `dxf.left-out` tells what else there was.
 */
export const dxf = definePathReader({
  kind: 'dxf',
  label: 'DXF',
  extensions: ['dxf'],
  read(file): Result<BroughtPaths> {
    const line = wrongLine(textOf(file));
    if (line !== undefined)
      return fail('dxf.broken', { file: file.name, reason: `line ${line} holds no group code of an ASCII DXF` });
    let entities: IEntity[];
    let unit: number | undefined;
    try {
      const parsed = new DxfParser().parseSync(textOf(file));
      if (!parsed) return fail('dxf.broken', { file: file.name, reason: 'it has no content' });
      entities = parsed.entities ?? [];
      unit = UNITS[Number(parsed.header?.$INSUNITS)];
    } catch (error) {
      return fail('dxf.broken', { file: file.name, reason: error instanceof Error ? error.message : String(error) });
    }
    const paths: BroughtPath[] = [];
    const single: { name: string; places: Vec3[] }[] = [];
    const leftOut = new Set<string>();
    for (const entity of entities) {
      const name = `${entity.layer || 'Path'} ${paths.length + single.length + 1}`.slice(0, 200);
      if (entity.type === 'LINE') {
        const { vertices } = entity as ILineEntity;
        if (vertices.length > 1) single.push({ name, places: vertices.map(placeOf) });
        continue;
      }
      const path = pathOf(entity, name);
      if (path) paths.push(path);
      else leftOut.add(entity.type);
    }
    paths.push(...chainLines(single));
    const sound = paths.filter(
      ({ points }) => points.length > 1 && points.every(({ position }) => position.every(Number.isFinite)),
    );
    if (sound.length === 0) return fail('paths.none', { file: file.name });
    const isFlat = sound.every(({ points }) => points.every(({ position }) => position[2] === 0));
    const warnings: Problem[] =
      leftOut.size > 0 ? [{ code: 'dxf.left-out', path: [], facts: { kinds: [...leftOut].join(', ') } }] : [];
    const weighted = entities.filter((entity) => entity.type === 'SPLINE' && (entity as ISplineEntity).rational).length;
    if (weighted > 0) warnings.push({ code: 'dxf.weights', path: [], facts: { splines: weighted } });
    return ok({ paths: sound, isFlat, up: 'z', ...(unit !== undefined && { unit }) }, warnings);
  },
});

/** The first of the odd lines that is no group code (DXF Reference, group codes); undefined where there is none. */
function wrongLine(text: string): number | undefined {
  const lines = text.trim().split(/\r?\n/);
  for (let i = 0; i < lines.length; i += 2) if (!/^\uFEFF?\s*-?\d{1,4}\s*$/.test(lines[i]!)) return i + 1;
  return undefined;
}

const placeOf = ({ x, y, z }: { x: number; y: number; z?: number }): Vec3 => [x, y, z ?? 0];
const X: Vec3 = [1, 0, 0];
const Y: Vec3 = [0, 1, 0];

function pathOf(entity: IEntity, name: string): BroughtPath | undefined {
  switch (entity.type) {
    case 'LWPOLYLINE': {
      const { vertices, shape, elevation } = entity as ILwpolylineEntity;
      return polyline(
        vertices.map((v) => ({ ...v, z: elevation ?? 0 })),
        shape,
        name,
      );
    }
    case 'POLYLINE': {
      const { vertices, shape } = entity as IPolylineEntity;
      return polyline(vertices, shape, name);
    }
    case 'ARC': {
      const { center, radius, startAngle, endAngle } = entity as IArcEntity;
      return arcOf(placeOf(center), scale(X, radius), scale(Y, radius), startAngle, past(startAngle, endAngle), name);
    }
    case 'CIRCLE': {
      const { center, radius } = entity as ICircleEntity;
      return arcOf(placeOf(center), scale(X, radius), scale(Y, radius), 0, 2 * Math.PI, name);
    }
    case 'ELLIPSE': {
      const { center, majorAxisEndPoint, axisRatio, startAngle, endAngle } = entity as IEllipseEntity;
      const u = placeOf(majorAxisEndPoint);
      const v = scale(cross([0, 0, 1], u), axisRatio);
      return arcOf(placeOf(center), u, v, startAngle, past(startAngle, endAngle), name);
    }
    case 'SPLINE':
      return splineLegs(entity as ISplineEntity, name);
    default:
      return undefined;
  }
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
