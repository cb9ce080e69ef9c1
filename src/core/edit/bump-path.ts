import { add, type Vec3 } from '../math/vec3';
import { compileCurve, curveKind, type CurveSpec } from '../curve/registry';
import { buildArcTable } from '../curve/arc-table';
import { insertAt } from './insert-at';
import { movePoint } from './move-point';

/**
 * The path moved by a vector at a station and back on its old way `over` metres before and behind it, where points are put in; nearer to an open end it is the
 * end that stays. Metres. Undefined for a path that does not go through its points.
 */
export function bumpPath(spec: CurveSpec, station: number, over: number, by: Vec3): CurveSpec | undefined {
  const { group, uses } = curveKind(spec);
  const compiled = compileCurve(spec);
  if (group !== 'points' || uses.weight || !compiled.ok) return undefined;
  const { length } = buildArcTable(compiled.value);
  // From the far end on, so that the points before keep their stations; none lengthens the path.
  let made = spec;
  let middle = -1;
  for (const at of [station + over, station, station - over]) {
    const own = spec.closed ? ((at % length) + length) % length : at;
    if (own <= 0 || own >= length) continue;
    const inserted = insertAt(made, own);
    if (!inserted) return undefined;
    made = inserted.spec;
    if (at === station) middle = inserted.point;
    else if (middle >= 0 && inserted.point <= middle) middle++;
  }
  return middle < 0 ? undefined : movePoint(made, middle, add(made.points[middle].position, by));
}
