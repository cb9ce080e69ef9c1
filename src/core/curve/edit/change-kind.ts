import { smoothToHandles } from '../kinds/smooth';
import type { CurveKindName, CurveSpec } from '../registry';

/** Rounding radius that corners get when a path first becomes straight legs, as a share of the shorter leg beside them. */
const ROUNDING_SHARE = 0.3;

/** The points as another kind. From smooth to handles the curve stays the same; otherwise the points do. */
export function changeKind(spec: CurveSpec, kind: CurveKindName): CurveSpec {
  if (kind === spec.kind) return spec;
  if (kind === 'handles' && spec.kind === 'smooth') return { ...spec, ...smoothToHandles(spec), kind };
  if (kind === 'straight' && spec.points.every((point) => point.radius === undefined)) {
    return { ...spec, kind, points: spec.points.map((point, i) => ({ ...point, radius: startRadius(spec, i) })) };
  }
  return { ...spec, kind };
}

/** A first rounding that fits between its neighbours, metres, to the centimetre. */
export function startRadius({ points, closed }: CurveSpec, i: number): number {
  const n = points.length;
  const before = points[closed ? (i + n - 1) % n : i - 1];
  const after = points[closed ? (i + 1) % n : i + 1];
  if (!before || !after) return 0;
  const legs = [before, after].map((other) => Math.hypot(...other.position.map((c, k) => c - points[i]!.position[k]!)));
  return Math.round(Math.min(...legs) * ROUNDING_SHARE * 100) / 100;
}
