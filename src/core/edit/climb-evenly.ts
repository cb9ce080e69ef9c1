import { buildArcTable, pointStationsOf } from '../curve/arc-table';
import type { PathPoint } from '../curve/path-spec';
import { compileCurve, curveKind, type CurveSpec } from '../curve/registry';
import type { Vec3 } from '../math/vec3';

const levelAt = (y: number, { position: [x, , z], handleIn, handleOut, ...kept }: PathPoint): PathPoint => ({
  ...kept,
  position: [x, y, z],
  ...(handleIn && { handleIn: [handleIn[0], 0, handleIn[2]] as const }),
  ...(handleOut && { handleOut: [handleOut[0], 0, handleOut[2]] as const }),
});

/** Metres that a path is long as it is seen from above; undefined where it has no length. */
export const planLengthOf = (spec: CurveSpec): number | undefined => flat(spec)?.length;

function flat(spec: CurveSpec) {
  const level: CurveSpec = { ...spec, points: spec.points.map((point) => levelAt(0, point)) };
  const curve = compileCurve(level);
  if (!curve.ok) return undefined;
  const arc = buildArcTable(curve.value);
  return arc.length > 0 ? { level, length: arc.length, stations: pointStationsOf(arc) } : undefined;
}

/**
 * The path with its points as high as an even climb from its first point to `rise` metres above that has them; handles lie on the same slope. The same
 * path where it is closed, or not made of points.
 */
export function climbEvenly(spec: CurveSpec, rise: number): CurveSpec {
  const seen = spec.closed || curveKind(spec).group !== 'points' ? undefined : flat(spec);
  if (!seen) return spec;
  const { level, length, stations } = seen;
  const slope = rise / length;
  const floor = spec.points[0].position[1];
  const raised = (handle: Vec3, way: 1 | -1): Vec3 => [
    handle[0],
    way * slope * Math.hypot(handle[0], handle[2]),
    handle[2],
  ];
  // A curve that says its own handles is given them, or it would bulge up and down between its points.
  const { toHandles, holds } = curveKind(spec);
  const own = toHandles ? toHandles(level).map((point) => ({ ...point, ...holds })) : level.points;
  const points = own.map(({ position: [x, , z], handleIn, handleOut, ...kept }, i): PathPoint => ({
    ...kept,
    position: [x, floor + slope * stations[i], z],
    ...(handleIn && { handleIn: raised(handleIn, -1) }),
    ...(handleOut && { handleOut: raised(handleOut, 1) }),
  }));
  return { ...spec, points };
}
