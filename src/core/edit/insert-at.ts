import { buildArcTable, fillParams } from '../curve/arc-table';
import { legRange } from '../curve/legs';
import { compileCurve, curveKind, type CurveSpec } from '../curve/registry';

export interface Inserted {
  readonly spec: CurveSpec;
  /** Number of the new point. */
  readonly point: number;
}

/** The path with a point more at `station` (metres), its shape kept; undefined where the path is not yet a curve, or takes no more points. */
export function insertAt(spec: CurveSpec, station: number): Inserted | undefined {
  const compiled = compileCurve(spec);
  if (!compiled.ok) return undefined;
  const curve = compiled.value;
  const u = new Float64Array(1);
  fillParams(u, buildArcTable(curve), Float64Array.of(station));
  let leg = 0;
  while (leg + 1 < curve.pointParams.length && curve.pointParams[leg + 1] <= u[0]) leg++;
  const legs = spec.closed ? spec.points.length : spec.points.length - 1;
  leg = Math.min(leg, legs - 1);
  const [u0, u1] = legRange(curve, leg);
  const t = u1 > u0 ? Math.min(Math.max((u[0] - u0) / (u1 - u0), 0), 1) : 0;
  const { points, index } = curveKind(spec).insert(spec, leg, t);
  return index < 0 ? undefined : { spec: { ...spec, points }, point: index };
}
