import type { Vec3 } from '../../math/vec3';
import { letGo } from '../path-spec';
import type { CurveSpec } from '../registry';

/** The path with point i elsewhere. On a smooth path it and its neighbours find their tangents anew where they were held. */
export function movePoint(spec: CurveSpec, i: number, position: Vec3): CurveSpec {
  const free = released(spec, i);
  return { ...free, points: free.points.map((point, k) => (k === i ? { ...point, position } : point)) };
}

/** The path without point i; its neighbours find their tangents anew where they were held. */
export function deletePoint(spec: CurveSpec, i: number): CurveSpec {
  return { ...spec, points: released(spec, i).points.filter((_, k) => k !== i) };
}

function released(spec: CurveSpec, i: number): CurveSpec {
  const n = spec.points.length;
  const around = [i, spec.closed ? (i + n - 1) % n : i - 1, spec.closed ? (i + 1) % n : i + 1];
  return { ...spec, points: spec.points.map((point, k) => (around.includes(k) ? letGo(point) : point)) };
}
