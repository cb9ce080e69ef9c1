import type { Vec3 } from '../../math/vec3';
import type { CurveSpec } from '../registry';

/** The path with a point more at `position`, after its end or before its start. */
export function extendPath(spec: CurveSpec, end: 'start' | 'end', position: Vec3): CurveSpec {
  const radius = spec.points[end === 'start' ? 0 : spec.points.length - 1]?.radius;
  const point = { position, ...(radius !== undefined && { radius }) };
  return { ...spec, points: end === 'start' ? [point, ...spec.points] : [...spec.points, point] };
}
