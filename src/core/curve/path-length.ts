import { buildArcTable } from './arc-table';
import { compileCurve, type CurveSpec } from './registry';

/** Metres along a path; undefined where it is no curve. */
export function pathLength(spec: CurveSpec): number | undefined {
  const compiled = compileCurve(spec);
  return compiled.ok ? buildArcTable(compiled.value).length : undefined;
}
