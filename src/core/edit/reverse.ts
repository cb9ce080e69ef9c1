import type { PathPoint } from '../curve/path-spec';
import { curveKind, type CurveSpec } from '../curve/registry';

/** The same curve run through the other way; a closed one keeps its first point. Twice is the identity. */
export function reversePath(spec: CurveSpec): CurveSpec {
  const own = curveKind(spec).reversed?.(spec);
  if (own) return { ...spec, ...own };
  const n = spec.points.length;
  // A straight leg is marked at the point before it, which is the one after it now.
  const turned = [...spec.points].reverse().map((point, k) => {
    const { straight } = spec.points[(2 * n - 2 - k) % n] ?? {};
    const { straight: own, ...rest } = swapHandles(point);
    return { ...rest, ...(straight && { straight }) };
  });
  const points = spec.closed && turned.length > 0 ? [turned[turned.length - 1], ...turned.slice(0, -1)] : turned;
  return { ...spec, points };
}

/** The point seen from its other side: it leans as it did, for which the roll about the other direction is the opposite one. */
function swapHandles({ handleIn, handleOut, roll, ...rest }: PathPoint): PathPoint {
  return {
    ...rest,
    ...(handleOut && { handleIn: handleOut }),
    ...(handleIn && { handleOut: handleIn }),
    ...(roll !== undefined && { roll: -roll }),
  };
}
