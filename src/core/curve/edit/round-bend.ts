import { buildFrameTable } from '../../frames/build-frame-table';
import type { FrameTable } from '../../frames/frame-table';
import { tightest } from '../../frames/tightness';
import { lerp, scale, sub } from '../../math/vec3';
import { buildArcTable } from '../arc-table';
import { compileCurve, curveKind, type CurveSpec } from '../registry';
import type { PathPoint } from '../path-spec';

const MAX_STEPS = 120;
/** Share of the way to the middle of its neighbours that the tightest point goes in one step. */
const EASE = 0.08;

/**
 * The path with the bend at `station` opened to at least `radius` (metres): a straight path's corner gets the radius where it
 * fits; otherwise the points of the bend go, little by little, towards the middle of their neighbours. Undefined when that
 * does not get there.
 */
export function roundBend(spec: CurveSpec, station: number, radius: number): CurveSpec | undefined {
  let current = spec;
  let where = station;
  for (let step = 0; step < MAX_STEPS; step++) {
    const table = measure(current);
    if (!table) return undefined;
    const reach = Math.max(radius * 2, table.step * 3);
    const worst = tightest(table, Math.max(0, where - reach), Math.min(table.length, where + reach));
    if (worst.radius >= radius * (1 - 1e-6)) return current;
    where = worst.station;
    const i = nearestInner(current, table, where);
    if (i === undefined) return undefined;
    const asked = curveKind(current).uses.radius && (current.points[i]!.radius ?? 0) < radius;
    current = asked ? withPoint(current, i, { radius }) : eased(current, i);
  }
  return undefined;
}

function measure(spec: CurveSpec): FrameTable | undefined {
  const compiled = compileCurve(spec);
  if (!compiled.ok) return undefined;
  return buildFrameTable(buildArcTable(compiled.value), { rule: 'upright', up: [0, 1, 0] });
}

/** The point nearest to a station that is not an open end. */
function nearestInner({ closed, points }: CurveSpec, table: FrameTable, station: number): number | undefined {
  let best: number | undefined;
  let least = Infinity;
  points.forEach((_, i) => {
    if (!closed && (i === 0 || i === points.length - 1)) return;
    const direct = Math.abs(table.pointStations[i]! - station);
    const distance = closed ? Math.min(direct, table.length - direct) : direct;
    if (distance < least) [best, least] = [i, distance];
  });
  return best;
}

const withPoint = (spec: CurveSpec, i: number, change: Partial<PathPoint>): CurveSpec => ({
  ...spec,
  points: spec.points.map((point, k) => (k === i ? { ...point, ...change } : point)),
});

/** Moves a point towards the middle of its neighbours; its handles turn towards the line between them. */
function eased(spec: CurveSpec, i: number): CurveSpec {
  const n = spec.points.length;
  const before = spec.points[(i + n - 1) % n]!.position;
  const after = spec.points[(i + 1) % n]!.position;
  const point = spec.points[i]!;
  const position = lerp(point.position, lerp(before, after, 0.5), EASE);
  if (!curveKind(spec).uses.handles) return withPoint(spec, i, { position });
  const along = scale(sub(after, before), 1 / 6);
  const handleOut = point.handleOut ? lerp(point.handleOut, along, EASE * 2) : along;
  const handleIn = point.handleIn ? lerp(point.handleIn, scale(along, -1), EASE * 2) : scale(along, -1);
  return withPoint(spec, i, { position, handleIn, handleOut });
}
