import { smoothToHandles } from '../kinds/smooth';
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
  const fixed = spec.kind === 'smooth' ? held(spec) : curveKind(spec).uses.weight ? changeKind(spec, 'handles') : spec;
  if (fixed.points.length !== n) return undefined;
  const { points } = fixed;
  if (spec.closed) return [{ ...fixed, closed: false, points: [...points.slice(i), ...points.slice(0, i + 1)] }];
  return [
    { ...fixed, points: points.slice(0, i + 1) },
    { ...fixed, points: points.slice(i) },
  ];
}

const held = (spec: CurveSpec): CurveSpec => ({
  ...spec,
  points: smoothToHandles(spec).points.map((point) => ({ ...point, held: true })),
});
