import type { PathPoint } from '../curve/path-spec';
import { buildArcTable, stationOf } from '../curve/arc-table';
import { compileCurve, curveKind, type CurveSpec } from '../curve/registry';
import { changeKind } from './change-kind';
import { insertAt, type Inserted } from './insert-at';

/**
 * A path cut in two at point i, both parts as the whole was; a closed one is opened there instead and stays one. Undefined where there is
 * nothing to cut: at the ends of an open path, or without a curve.
 */
export function splitAt(spec: CurveSpec, i: number): readonly CurveSpec[] | undefined {
  const n = spec.points.length;
  if (i < 0 || i >= n || (!spec.closed && (i === 0 || i === n - 1)) || curveKind(spec).alwaysClosed) return undefined;
  if (curveKind(spec).group === 'numbers') return undefined;
  // A closed path may as well begin at its next corner: this one's arc then lies within it.
  const [begun, at] = spec.closed && i === 0 ? [{ ...spec, points: [...spec.points.slice(1), spec.points[0]] }, n - 1] : [spec, i]; // prettier-ignore
  const rounded = throughRounding(begun, at);
  if (rounded) return splitAt(rounded.spec, rounded.point);
  // What lies beyond the cut has a say in the tangents here: they are held.
  const fixed = fixedTangents(spec);
  if (fixed.points.length !== n) return undefined;
  const { points } = fixed;
  if (spec.closed) return [{ ...fixed, closed: false, points: [...points.slice(i), ...points.slice(0, i + 1)] }];
  return [
    { ...fixed, points: points.slice(0, i + 1) },
    { ...fixed, points: points.slice(i) },
  ];
}

function fixedTangents(spec: CurveSpec): CurveSpec {
  const { toHandles, mannerOf, holds, uses } = curveKind(spec);
  if (uses.weight) return changeKind(spec, 'handles');
  if (!toHandles) return spec;
  const drawn = toHandles(spec);
  const held = (point: PathPoint, { handleIn, handleOut }: PathPoint): PathPoint => ({
    ...{ ...point, ...(handleIn && { handleIn }), ...(handleOut && { handleOut }) },
    ...holds,
  });
  const points = spec.points.map((point, i) => (mannerOf?.(point) === 'smooth' ? held(point, drawn[i]) : point));
  return { ...spec, points };
}

/** The path with a point in the middle of a rounded corner's arc, which two corners make up then; undefined where there is no arc. */
function throughRounding(spec: CurveSpec, i: number): Inserted | undefined {
  const { uses } = curveKind(spec);
  const { radius = 0, as } = spec.points[i];
  if (!uses.radius || radius <= 0 || (uses.manners && as !== 'corner')) return undefined;
  const compiled = compileCurve(spec);
  if (!compiled.ok) return undefined;
  const station = stationOf(buildArcTable(compiled.value), compiled.value.pointParams[i]);
  const corners = insertAt(spec, station);
  const halved = corners && corners.spec.points.length > spec.points.length && insertAt(corners.spec, station);
  return halved && (halved.spec.points[halved.point].radius ?? 0) === 0 ? halved : undefined;
}
