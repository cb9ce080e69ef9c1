import { add, type Vec3 } from '../math/vec3';
import { buildArcTable } from './arc-table';
import { fitHandles } from './fit-handles';
import { compileCurve, curveKind, type CurveSpec } from './registry';

/** How near the chords keep to the path, as a share of its length. */
const SHARE = 1e-4;

/** Places along a path for drawing; its points where it is no curve. */
export function placesAlong(spec: CurveSpec): readonly Vec3[] {
  const corners = spec.points.map(({ position }) => position);
  if (curveKind(spec).hasStraightLegs) return spec.closed ? [...corners, corners[0]] : corners;
  const compiled = compileCurve(spec);
  if (!compiled.ok) return corners;
  const fitted = fitHandles(compiled.value, buildArcTable(compiled.value).length * SHARE);
  const points = spec.closed ? [...fitted, fitted[0]] : fitted;
  return points.flatMap((from, i) => {
    const to = points[i + 1];
    if (!to) return [from.position];
    const [b, c] = [add(from.position, from.handleOut ?? [0, 0, 0]), add(to.position, to.handleIn ?? [0, 0, 0])];
    return [0, 0.25, 0.5, 0.75].map((t): Vec3 => {
      const s = 1 - t;
      const at = (k: 0 | 1 | 2) =>
        s ** 3 * from.position[k] + 3 * s * s * t * b[k] + 3 * s * t * t * c[k] + t ** 3 * to.position[k];
      return [at(0), at(1), at(2)];
    });
  });
}
