import { curveKind, type CurveSpec } from '../curve/registry';

/** A path whose corners that say nothing of themselves are rounded to a radius, metres; the same one where its kind has no corners. */
export function withCornerRadius(spec: CurveSpec, radius: number): CurveSpec {
  const { uses } = curveKind(spec);
  if (radius <= 0 || !uses.radius || uses.side) return spec;
  return {
    ...spec,
    points: spec.points.map((point) => (point.radius === undefined && !point.corner ? { ...point, radius } : point)),
  };
}
