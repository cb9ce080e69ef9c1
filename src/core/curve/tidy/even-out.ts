import { scale, type Vec3 } from '../../math/vec3';
import { buildArcTable, fillParams } from '../arc-table';
import { carryValues } from '../edit/carry-values';
import { pointOn } from '../legs';
import type { PathPoint } from '../path-spec';
import { compileCurve } from '../registry';
import type { Tidy } from './tidy';

export const evenOut: Tidy = {
  label: 'Even out the spacing',
  hint: 'As many points, at even distances along the curve',
  apply(spec) {
    const compiled = compileCurve(spec);
    const n = spec.points.length;
    if (!compiled.ok || n < 3) return spec;
    const curve = compiled.value;
    const table = buildArcTable(curve);
    const legs = spec.closed ? n : n - 1;
    const params = new Float64Array(n);
    const stations = Float64Array.from({ length: n }, (_, i) => (table.length * i) / legs);
    fillParams(params, table, stations);
    const third = table.length / legs / 3;
    const v = new Float64Array(3);
    const points = Array.from(params, (u, i): PathPoint => {
      const own = { position: pointOn(curve, u) };
      if (spec.kind === 'smooth') return own;
      curve.velocityAt(v, 0, u, u >= 1);
      const along: Vec3 = scale([v[0]!, v[1]!, v[2]!], third / (Math.hypot(...v) || 1));
      const { radius } = spec.points[i]!;
      if (spec.kind === 'straight') return { ...own, ...(radius !== undefined && { radius }) };
      return { ...own, as: 'handles', handleIn: scale(along, -1), handleOut: along };
    });
    return { ...spec, points: carryValues(points, stations, spec, table) };
  },
};
