import { bendRows } from '../bending/bend-rows';
import { FORWARD } from '../frames/frame-table';
import type { Place } from '../layout/place';
import { buildRows, type FitSpec } from '../layout/fit-registry';
import type { Stand, Strewn } from '../layout/place';
import type { WornPiece } from '../layout/worn-pieces';
import { EXACT_FIT } from '../math/tolerance';
import { normalize, type Vec3 } from '../math/vec3';
import { probeOf } from '../segment/pieces/probe';
import { ROW_STRIDE } from '../segment/pieces/rows';
import type { Shape } from '../shape/shape';
import type { SurfacePoint } from './surface-points';

/** How something stands on points of a piece where that lies in the finished run: all of them at once. */
export function standsOn(
  { form, factor, station, worn, placement, pins }: WornPiece,
  fit: FitSpec,
  shape: Shape,
  points: readonly SurfacePoint[],
  scale = 1,
): readonly Stand[] {
  const order = [...points.keys()].sort((a, b) => points[a].place[0] - points[b].place[0]);
  const flat = (values: (point: SurfacePoint) => Vec3) => Float32Array.from(order.flatMap((i) => values(points[i])));
  const probe = probeOf(form, flat(({ place }) => place), flat(unitNormal)); // prettier-ignore
  const rows = buildRows(fit, probe, shape, { station, factor, scale, natural: worn.length, overlap: placement.overlap, pins }); // prettier-ignore
  const [positions, normals] = [new Float32Array(order.length * 3), new Float32Array(order.length * 3)];
  bendRows(positions, normals, 0, probe, rows);
  const stands: Stand[] = [];
  order.forEach((i, row) => {
    const forward = rows.frames.subarray(row * ROW_STRIDE + FORWARD);
    stands[i] = { position: vectorAt(positions, row), normal: vectorAt(normals, row), forward: vectorAt(forward, 0) };
  });
  return stands;
}

/** How something stands on a point of a piece, wherever that has moved: in the finished run as it is known to. */
export function standing(
  piece: WornPiece,
  fit: FitSpec,
  point: SurfacePoint & { readonly station: number },
  rest: { readonly shape: Shape; readonly stand: Stand },
): Strewn['standOn'] {
  const [x] = point.place;
  return (shape: Shape, { station, factor, scale, natural }: Place): Stand => {
    const middle = station + (factor * natural) / 2;
    if (shape === rest.shape && scale === 1 && Math.abs(middle - point.station) < natural * EXACT_FIT)
      return rest.stand;
    const own = piece.factor * scale;
    const moved = { ...piece, station: middle - own * x, factor: own, pins: undefined };
    return standsOn(moved, fit, shape, [point], scale)[0];
  };
}

const unitNormal = ({ normal }: SurfacePoint): Vec3 => normalize(normal, [0, 1, 0]);

const vectorAt = (values: Float32Array | Float64Array, row: number): Vec3 => [values[row * 3], values[row * 3 + 1], values[row * 3 + 2]]; // prettier-ignore
