import { KINK_ANGLE } from '../../math/tolerance';
import { dot, normalize, scale, type Vec3 } from '../../math/vec3';
import { buildArcTable, fillParams, stationOf } from '../../curve/arc-table';
import type { Curve } from '../../curve/curve';
import { carryValues } from '../carry-values';
import { pointOn } from '../../curve/legs';
import type { PathPoint } from '../../curve/path-spec';
import { compileCurve, curveKind } from '../../curve/registry';
import type { Tidy } from './tidy';

export const evenOut: Tidy = {
  label: 'Even out the spacing',
  hint: 'As many points, at even distances along the curve; corners stay',
  apply(spec) {
    const compiled = compileCurve(spec);
    const n = spec.points.length;
    if (!compiled.ok || n < 3) return spec;
    const curve = compiled.value;
    const table = buildArcTable(curve);
    const legs = spec.closed ? n : n - 1;
    const { passing } = curveKind(spec);
    const corners = !passing ? cornersOf(curve).map((u) => stationOf(table, u)) : [];
    const ends = spread([0, ...corners, table.length], legs);
    const stations = Float64Array.from(ends.slice(0, n));
    const params = new Float64Array(n);
    fillParams(params, table, stations);
    const points = Array.from(params, (u, i): PathPoint => {
      const before = i > 0 ? ends[i] - ends[i - 1] : spec.closed ? table.length - ends[legs - 1] : ends[1];
      const after = i < legs ? ends[i + 1] - ends[i] : before;
      const [into, out] = [directionAt(curve, u, true, spec.closed), directionAt(curve, u, false, spec.closed)];
      const isCorner = turn(into, out) > KINK_ANGLE;
      const point: PathPoint = {
        position: pointOn(curve, u),
        as: 'handles',
        handleIn: scale(into, -before / 3),
        handleOut: scale(out, after / 3),
        ...(isCorner && { broken: true }),
      };
      return passing ? passing({ point, radius: spec.points[i].radius }) : point;
    });
    return { ...spec, points: carryValues(points, stations, spec, table) };
  },
};

/** `legs` + 1 stations: those given, and between them others at distances as even as can be. */
function spread(fixed: readonly number[], legs: number): number[] {
  const gaps = fixed.slice(1).map((to, i) => to - fixed[i]);
  const counts = gaps.map(() => 1);
  for (let left = legs - gaps.length; left > 0; left--) {
    const widest = gaps.reduce((most, gap, i) => (gap / counts[i] > gaps[most] / counts[most] ? i : most), 0);
    counts[widest]++;
  }
  const inner = gaps.flatMap((gap, i) => Array.from({ length: counts[i] }, (_, k) => fixed[i] + (gap * k) / counts[i]));
  return [...inner, fixed.at(-1)!];
}

/** Where the tangent jumps, ends apart. */
const cornersOf = (curve: Curve): number[] =>
  Array.from(curve.breaks.subarray(1, -1)).filter(
    (u) => turn(directionAt(curve, u, true), directionAt(curve, u, false)) > KINK_ANGLE,
  );

const turn = (a: Vec3, b: Vec3): number => Math.acos(Math.min(Math.max(dot(a, b), -1), 1));

/** Forward at `u`; beyond an end that of the other end where the path closes, else the same. */
function directionAt(curve: Curve, u: number, fromLeft: boolean, closed = false): Vec3 {
  const at = fromLeft && u <= 0 ? (closed ? 1 : 0) : !fromLeft && u >= 1 ? (closed ? 0 : 1) : u;
  const v = new Float64Array(3);
  curve.velocityAt(v, 0, at, at >= 1 || (fromLeft && at > 0));
  return normalize([v[0], v[1], v[2]]);
}
