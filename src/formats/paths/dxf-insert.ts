import { normalize, scale, Z_AXIS as Z, type Vec3 } from '../../core/math/vec3';
import { axesOf, mapped } from './dxf-entities';
import { numberOf, placesOf, type Entity } from './dxf-groups';
import type { BroughtPath } from './path-format';

/** Puts a path of a block where a copy of it lies. */
export type Put = (path: BroughtPath) => BroughtPath;

const DEGREE = Math.PI / 180;
/** Columns, and rows, of an insert at the most. */
const MOST = 1000;

/** How each copy of a block is put: scaled, turned about z, in rows and columns, in the axes of the insert's normal (DXF Reference, INSERT). */
export function copiesOf(insert: Entity, base: Vec3): Put[] {
  const number = (code: number, otherwise: number) => numberOf(insert, code, otherwise);
  const [sx, sy, sz, angle] = [number(41, 1), number(42, 1), number(43, 1), number(50, 0) * DEGREE];
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  const [x, y, z] = axesOf(normalize(placesOf(insert, 210)[0] ?? Z, Z));
  const inAxes = ([a, b, d]: Vec3): Vec3 => [0, 1, 2].map((k) => a * x[k] + b * y[k] + d * z[k]) as unknown as Vec3;
  const axes = [inAxes([c * sx, s * sx, 0]), inAxes([-s * sy, c * sy, 0]), scale(z, sz)] as const;
  const at = placesOf(insert, 10)[0] ?? [0, 0, 0];
  const [columns, rows] = [number(70, 1), number(71, 1)].map((n) => Math.min(Math.max(Math.floor(n) || 1, 1), MOST));
  return Array.from({ length: columns * rows }, (_, i) => {
    const [u, v] = [(i % columns) * number(44, 0), Math.floor(i / columns) * number(45, 0)];
    const to = inAxes([at[0] + c * u - s * v, at[1] + s * u + c * v, at[2]]);
    const moved = [0, 1, 2].map(
      (k) => to[k] - axes[0][k] * base[0] - axes[1][k] * base[1] - axes[2][k] * base[2],
    ) as unknown as Vec3;
    return (path) => mapped(path, axes, moved);
  });
}
