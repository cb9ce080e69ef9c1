import { legCount } from '../curve/legs';
import { MAX_PATH_POINTS } from '../curve/path-spec';
import { compileCurve, curveKind, type CurveSpec } from '../curve/registry';

/** The path with a point put into every leg between two chosen points; its shape stays. */
export function subdivideBetween(spec: CurveSpec, chosen: readonly number[]): CurveSpec {
  const isChosen = new Set(chosen);
  const n = spec.points.length;
  return subdivideLegs(spec, (leg) => isChosen.has(leg) && isChosen.has((leg + 1) % n));
}

/** The path with a point put into every leg that is wanted, in its middle. */
export function subdivideLegs(spec: CurveSpec, isWanted: (leg: number) => boolean): CurveSpec {
  if (!compileCurve(spec).ok) return spec;
  const legs = Array.from({ length: legCount(spec.points.length, spec.closed) }, (_, leg) => leg).filter(isWanted);
  if (spec.points.length + legs.length > MAX_PATH_POINTS) return spec;
  // From the end, so that the legs before keep their numbers.
  return legs.reduceRight<CurveSpec>(
    (current, leg) => ({ ...current, points: curveKind(current).insert(current, leg, 0.5).points }),
    spec,
  );
}
