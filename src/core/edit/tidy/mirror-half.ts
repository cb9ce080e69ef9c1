import { add, dot, normalize, scale, sub, type Vec3 } from '../../math/vec3';
import { buildArcTable, fillParams } from '../../curve/arc-table';
import { insertAt } from '../insert-at';
import { reversePath } from '../reverse';
import { compileCurve, type CurveSpec } from '../../curve/registry';
import type { Tidy } from './tidy';

export const mirrorHalf: Tidy = {
  label: 'Mirror the first half',
  hint: 'The second half becomes the mirror image of the first, square to the path at its middle',
  apply(spec) {
    const compiled = compileCurve(spec);
    if (!compiled.ok || spec.closed) return spec;
    const table = buildArcTable(compiled.value);
    const inserted = insertAt(spec, table.length / 2);
    if (!inserted) return spec;
    const u = new Float64Array(1);
    fillParams(u, table, Float64Array.of(table.length / 2));
    const v = new Float64Array(3);
    compiled.value.velocityAt(v, 0, u[0]);
    const normal = normalize([v[0], v[1], v[2]]);
    const half: CurveSpec = { ...inserted.spec, points: inserted.spec.points.slice(0, inserted.point + 1) };
    const middle = half.points.at(-1)!;
    const flip = (d: Vec3): Vec3 => sub(d, scale(normal, 2 * dot(d, normal)));
    const other = reversePath(half).points.map(({ position, handleIn, handleOut, roll, ...rest }) => ({
      ...rest,
      position: add(middle.position, flip(sub(position, middle.position))),
      ...(handleIn && { handleIn: flip(handleIn) }),
      ...(handleOut && { handleOut: flip(handleOut) }),
      ...(roll !== undefined && { roll: -roll }), // reversed and mirrored it is what it was
    }));
    // The middle is there once: it comes from the first half and goes on into the other.
    const joined = {
      ...middle,
      ...(other[0].handleOut && { handleOut: other[0].handleOut }),
      straight: other[0].straight,
    };
    return { ...spec, points: [...half.points.slice(0, -1), joined, ...other.slice(1)] };
  },
};
