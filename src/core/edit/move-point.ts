import { add, sub, type Vec3 } from '../math/vec3';
import { letGo } from '../curve/path-spec';
import { curveKind, type CurveSpec } from '../curve/registry';

/** The path with point i elsewhere. On a smooth path it and its neighbours find their tangents anew where they were held. */
export function movePoint(spec: CurveSpec, i: number, position: Vec3): CurveSpec {
  const by = sub(position, spec.points[i].position);
  const moved = withPartners(spec, [i]);
  const free = releasedAround(spec, moved);
  return {
    ...free,
    points: free.points.map((point, k) =>
      k === i ? { ...point, position } : moved.has(k) ? { ...point, position: add(point.position, by) } : point,
    ),
  };
}

/** Points, and with one of a leg that is kept straight at an end the others of that leg. */
export function withPartners({ points, closed }: CurveSpec, chosen: readonly number[]): ReadonlySet<number> {
  const all = new Set(chosen);
  if (closed) return all;
  for (const [end, step] of [
    [0, 1],
    [points.length - 1, -1],
  ] as const) {
    const leg: number[] = [];
    for (let i: number = end; points[i]?.kept; i += step) leg.push(i);
    if (leg.some((i) => all.has(i))) for (const i of leg) all.add(i);
  }
  return all;
}

/** The path without some points; their neighbours find their tangents anew where they were held. */
export function deletePoints(spec: CurveSpec, chosen: readonly number[]): CurveSpec {
  const gone = new Set(chosen);
  return { ...spec, points: releasedAround(spec, gone).points.filter((_, k) => !gone.has(k)) };
}

/** The path with the chosen points and their neighbours let go of held tangents; between chosen points they keep them. */
export function releasedAround(spec: CurveSpec, chosen: ReadonlySet<number>): CurveSpec {
  const n = spec.points.length;
  const at = (i: number) => (spec.closed ? (i + n) % n : i);
  const { uses } = curveKind(spec);
  const reach = uses.radius && !uses.manners ? [0] : [-1, 0, 1];
  const around = (i: number) => reach.map((k) => at(i + k)).filter((k) => k >= 0 && k < n);
  const points = spec.points.map((point, i) => {
    const near = around(i);
    const touched = near.filter((k) => chosen.has(k)).length;
    const carried = chosen.size > 1 && touched === near.length; // its neighbours go with it
    return touched === 0 || carried ? point : letGo(point);
  });
  return { ...spec, points };
}
