import { buildFrameTable } from '../frames/build-frame-table';
import type { FrameTable } from '../frames/frame-table';
import { tightest } from '../shape/tightest';
import { lerp } from '../math/vec3';
import { buildArcTable } from '../curve/arc-table';
import { smoothToHandles } from '../curve/kinds/smooth';
import { compileCurve, curveKind, type CurveSpec } from '../curve/registry';
import type { PathPoint } from '../curve/path-spec';
import { movePoint } from './move-point';

const MAX_STEPS = 120;
/** Share of the way to the middle of its neighbours that the tightest point goes in one step. */
const EASE = 0.08;
/** Points to either side of a bend that may move. */
const REACH = 2;

/**
 * The path with the bend at `station` opened to at least `radius` (metres): a straight path's corner gets the radius where it
 * fits; otherwise the points of the bend go, little by little, towards the middle of their neighbours. Undefined when that
 * does not get there.
 */
export function roundBend(spec: CurveSpec, station: number, radius: number): CurveSpec | undefined {
  const { group, uses, alwaysClosed } = curveKind(spec);
  if (alwaysClosed || (group === 'numbers' && !uses.radius)) return undefined; // its bends follow from its numbers
  const start = measure(spec);
  const middle = start && nearestInner(spec, start, () => true, station);
  if (!start || middle === undefined) return undefined;
  const isNear = (i: number) => pointsApart(spec, i, middle) <= REACH;
  let current = spec;
  for (let step = 0; step < MAX_STEPS; step++) {
    const table = measure(current);
    if (!table) return undefined;
    const [from, to] = stationsOf(current, table, middle);
    const worst = from < to ? tightest(table, from, to) : tightest(table);
    if (worst.radius >= radius * (1 - 1e-6)) return current;
    const i = nearestInner(current, table, isNear, worst.station);
    if (i === undefined) return undefined;
    const asked = curveKind(current).uses.radius && (current.points[i].radius ?? 0) < radius;
    current = asked ? withPoint(current, i, { radius }) : eased(current, i);
  }
  return undefined;
}

/** Points apart along the path, the shorter way round on a closed one. */
function pointsApart({ closed, points }: CurveSpec, a: number, b: number): number {
  const direct = Math.abs(a - b);
  return closed ? Math.min(direct, points.length - direct) : direct;
}

/** The stretch that belongs to the bend about point i: as far as {@link REACH} points to either side. */
function stationsOf({ closed, points }: CurveSpec, table: FrameTable, i: number): readonly [number, number] {
  const n = points.length;
  if (closed && n <= 2 * REACH + 1) return [0, table.length];
  const at = (k: number) => table.pointStations[closed ? (k + n) % n : Math.min(Math.max(k, 0), n - 1)];
  return [at(i - REACH), at(i + REACH)];
}

function measure(spec: CurveSpec): FrameTable | undefined {
  const compiled = compileCurve(spec);
  if (!compiled.ok) return undefined;
  return buildFrameTable(buildArcTable(compiled.value), { rule: 'upright', up: [0, 1, 0] });
}

/** Of the points that are not an open end and are wanted, the one nearest to a station. */
function nearestInner(
  { closed, points }: CurveSpec,
  table: FrameTable,
  isWanted: (i: number) => boolean,
  station: number,
): number | undefined {
  let best: number | undefined;
  let least = Infinity;
  points.forEach((_, i) => {
    if ((!closed && (i === 0 || i === points.length - 1)) || !isWanted(i)) return;
    const direct = Math.abs(table.pointStations[i] - station);
    const away = closed ? Math.min(direct, table.length - direct) : direct;
    if (away < least) [best, least] = [i, away];
  });
  return best;
}

const withPoint = (spec: CurveSpec, i: number, change: Partial<PathPoint>): CurveSpec => ({
  ...spec,
  points: spec.points.map((point, k) => (k === i ? { ...point, ...change } : point)),
});

/** Moves a point towards the middle of its neighbours; the handles there become those of a smooth path, or they would leave a kink. */
function eased(spec: CurveSpec, i: number): CurveSpec {
  const n = spec.points.length;
  const at = (k: number) => spec.points[(k + n) % n].position;
  const moved = movePoint(spec, i, lerp(at(i), lerp(at(i - 1), at(i + 1), 0.5), EASE));
  if (!curveKind(spec).uses.handles) return moved;
  const smooth = smoothToHandles(moved).points;
  return [i - 1, i, i + 1].reduce((current, k) => {
    const place = (k + n) % n;
    const { handleIn, handleOut } = smooth[place];
    return withPoint(current, place, { handleIn, handleOut });
  }, moved);
}
