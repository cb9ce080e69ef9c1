import { controlsAt } from '../kinds/compile-mixed';
import { smoothToHandles } from '../kinds/smooth';
import type { PathPoint } from '../path-spec';
import { curveKind, type CurveSpec } from '../registry';
import { changeKind } from './change-kind';

/**
 * A path cut in two at point i, both parts as the whole was; a closed one is opened there instead and stays one. Undefined where there is
 * nothing to cut: at the ends of an open path, or without a curve.
 */
export function splitAt(spec: CurveSpec, i: number): readonly CurveSpec[] | undefined {
  const n = spec.points.length;
  if (i < 0 || i >= n || (!spec.closed && (i === 0 || i === n - 1)) || curveKind(spec).alwaysClosed) return undefined;
  if (curveKind(spec).group === 'numbers') return undefined;
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
  if (spec.kind === 'smooth')
    return { ...spec, points: smoothToHandles(spec).points.map((point) => ({ ...point, held: true })) };
  if (curveKind(spec).uses.weight) return changeKind(spec, 'handles');
  if (!curveKind(spec).uses.manners) return spec;
  const isSmooth = (point: PathPoint) => (point.as ?? 'smooth') === 'smooth';
  return {
    ...spec,
    points: spec.points.map((point, i) =>
      isSmooth(point) ? { ...point, ...controlsAt(spec, i), as: 'handles' } : point,
    ),
  };
}
