import type { PathPoint } from '../path-spec';
import type { CurveSpec } from '../registry';

/** The same curve run through the other way; a closed one keeps its first point. Twice is the identity. */
export function reversePath(spec: CurveSpec): CurveSpec {
  const turned = [...spec.points].reverse().map(swapHandles);
  const points = spec.closed && turned.length > 0 ? [turned[turned.length - 1]!, ...turned.slice(0, -1)] : turned;
  return { ...spec, points };
}

function swapHandles({ handleIn, handleOut, ...rest }: PathPoint): PathPoint {
  return { ...rest, ...(handleOut && { handleIn: handleOut }), ...(handleIn && { handleOut: handleIn }) };
}
