import { compileCurve, type CurveSpec } from '../curve/registry';
import { distance, type Vec3 } from '../math/vec3';

/** Places that lie as far off as this share of where they are count as the same. */
const SAME = 1e-9;
const SAMPLES = 64;

/** Places over a curve's parameter, metres; none where it is no curve. */
export function placesOn(spec: CurveSpec): readonly Vec3[] {
  const curve = compileCurve(spec);
  if (!curve.ok) return [];
  const place = new Float64Array(3);
  return Array.from({ length: SAMPLES + 1 }, (_, i): Vec3 => {
    curve.value.pointAt(place, 0, i / SAMPLES);
    return [place[0], place[1], place[2]];
  });
}

/** Whether a path runs through places of another one, as `placesOn` gives them. */
export function runsThrough(spec: CurveSpec, wanted: readonly Vec3[]): boolean {
  const places = placesOn(spec);
  const most = Math.max(...wanted.flat().map(Math.abs), 1) * SAME;
  return places.length > 0 && places.every((place, i) => distance(place, wanted[i]) < most);
}
