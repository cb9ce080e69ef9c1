import type { Vec3 } from '../../math/vec3';
import { letGo } from '../path-spec';
import { curveKind, type CurveSpec } from '../registry';

/** The path with point i elsewhere. On a smooth path it and its neighbours find their tangents anew where they were held. */
export function movePoint(spec: CurveSpec, i: number, position: Vec3): CurveSpec {
  const free = releasedAround(spec, new Set([i]));
  return { ...free, points: free.points.map((point, k) => (k === i ? { ...point, position } : point)) };
}

/** The path without some points; their neighbours find their tangents anew where they were held. */
export function deletePoints(spec: CurveSpec, chosen: readonly number[]): CurveSpec {
  const gone = new Set(chosen);
  return { ...spec, points: releasedAround(spec, gone).points.filter((_, k) => !gone.has(k)) };
}

/**
 * The path with the chosen points and their neighbours let go of held tangents; between chosen points they keep them. A corner that a
 * plugged end made between straight legs is let go of by itself only.
 */
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
