import { CURVATURE, FORWARD, FRAME_STRIDE, SIDE, UP, type FrameTable, type Kink } from '../../frames/frame-table';
import { firstAfter } from '../../math/first-after';
import { MITRE_LIMIT, ON_PLANE_RELATIVE } from '../../math/tolerance';
import type { Vec3 } from '../../math/vec3';
import { frameOn, greatestGauge, OFFSET_SIDE, OFFSET_UP } from '../../shape/frame-on';
import { movedShape, placesOf, type Shape } from '../../shape/shape';
import { halfWidth, type PreparedSegment } from '../prepared-segment';
import type { RowDemand } from './plan-slices';
import type { LeaningRow } from './rows';

/** How a row lies to a corner of the path. */
export interface CornerRow {
  readonly kink: Kink;
  /** Metres: the row's own, or the corner's where it lies on it. */
  readonly station: number;
  readonly isBefore: boolean;
  /** It lies on a corner without an edge, and belongs to either side. */
  readonly isBoth: boolean;
  /** 1 in the plane that bisects the corner, less the farther away, 0 where rows are square to the path. */
  readonly share: number;
  /** By how much the share changes per metre along the path. */
  readonly slope: number;
}

/**
 * Finds out whether a row of a piece is near a corner. Rows lean over as far from it as the section's mitre reaches along the path, so that on the
 * inner side they come together in the corner's plane and never pass it. Undefined where the piece comes near no corner.
 */
export function buildMitre(
  segment: PreparedSegment,
  shape: Shape,
  { station: start, factor }: { readonly station: number; readonly factor: number },
): ((row: number, station: number) => CornerRow | undefined) | undefined {
  const { table } = shape;
  if (table.kinks.length === 0 && !shape.flush) return undefined;
  const { rows } = segment;
  const doubled = new Set(segment.corners);
  const last = rows.length - 2;
  const half = halfWidth(segment.box);
  const end = start + factor * segment.length;
  const near = Math.max(factor, 1) * segment.length * ON_PLANE_RELATIVE * 4 + table.length * 1e-12;
  const around = cornersAround(shape, start, end, { half, near });
  if (around.length === 0) return undefined;
  const places = Float64Array.from(around, ({ at }) => at);
  const ofRow = (row: number, station: number, { kink, at, reach }: CornerAround): CornerRow | undefined => {
    const away = station - at;
    if (Math.abs(away) > Math.max(reach, near)) return undefined;
    if (Math.abs(away) <= near) {
      const isBoth = !kink.own && row > 0 && row < last && !doubled.has(row) && !doubled.has(row + 1);
      const isSecond = doubled.has(row) || row === 0;
      const slope = reach > 0 ? (isSecond ? -1 : 1) / reach : 0;
      return { kink, station: at, isBefore: !isSecond, isBoth, share: 1, slope };
    }
    const isBefore = away < 0;
    return {
      kink,
      station,
      isBefore,
      isBoth: false,
      share: 1 - Math.abs(away) / reach,
      slope: (isBefore ? 1 : -1) / reach,
    };
  };
  return (row, station) => {
    // The corners on either side: mitres end half way between them.
    const next = firstAfter(places, station);
    const [before, after] = [around[next - 1], around[next]];
    return (before && ofRow(row, station, before)) ?? (after && ofRow(row, station, after));
  };
}

interface Corners {
  readonly stations: Float64Array;
  /** The greatest gauge that the run has anywhere. */
  readonly gauge: number;
}
const kept = new WeakMap<Shape['lanes'], Corners>();

/** What is asked of a shape's corners for every piece, found once; moving the run changes none of it. */
function cornersOf(shape: Shape): Corners {
  const known = kept.get(shape.lanes);
  if (known) return known;
  const still = movedShape(shape, undefined);
  const stations = Float64Array.from(mitresOf(shape), ({ station }) => station);
  const looks = shape.lanes.length > 0 ? [0, ...stations, ...placesOf(still)] : [0];
  const gauge = looks.reduce((most, station) => Math.max(most, greatestGauge(frameOn(still, station))), 1e-9);
  const corners = { stations, gauge };
  kept.set(shape.lanes, corners);
  return corners;
}

/** Corners and flush ends, ascending. */
const mitresOf = ({ table, flush }: Shape): readonly Kink[] =>
  flush ? [...table.kinks, ...flush].toSorted((a, b) => a.station - b.station) : table.kinks;

interface CornerAround {
  readonly kink: Kink;
  /** Metres: the corner's station as the piece counts them, which may go on beyond a closed path's seam. */
  readonly at: number;
  /** Metres to either side. */
  readonly reach: number;
}

/** The corners whose mitres reach into a stretch; a mitre ends half way to the next corner. */
function cornersAround(
  shape: Shape,
  from: number,
  to: number,
  { half, near }: { readonly half: number; readonly near: number },
): CornerAround[] {
  const { length, closed } = shape.table;
  const kinks = mitresOf(shape);
  const found: CornerAround[] = [];
  const { stations, gauge } = cornersOf(shape);
  const far = MITRE_LIMIT * half * gauge + near;
  for (const round of closed ? [-1, 0, 1, 2] : [0]) {
    const end = firstAfter(stations, to + far - round * length);
    for (let i = firstAfter(stations, from - far - round * length); i < end; i++) {
      const kink = kinks[i];
      const at = kink.station + round * length;
      const over = leanOver(shape, kinks, i, at, half);
      if (at + Math.max(over, near) >= from && at - Math.max(over, near) <= to) found.push({ kink, at, reach: over });
    }
  }
  return found;
}

/** Metres to either side of a corner, at the station `at`, over which rows lean towards it. */
function leanOver(shape: Shape, kinks: readonly Kink[], i: number, at: number, half: number): number {
  const { length, closed } = shape.table;
  const kink = kinks[i];
  const before = kinks[i - 1]?.station ?? (closed ? kinks[kinks.length - 1].station - length : 0);
  const after = kinks[i + 1]?.station ?? (closed ? kinks[0].station + length : length);
  const reach = half * greatestGauge(frameOn(shape, at, true));
  const mitre = Math.min(Math.tan(kink.angle / 2), MITRE_LIMIT) * reach;
  const room = kink.own ? 0 : Math.min(kink.station - before, after - kink.station) / 2;
  return Math.min(mitre, room > 0 ? room : mitre);
}

/** Radians: corners at which frames turn by less beyond what forward makes them need no rows for it. */
const LEAST_TURN = 1e-3;

/**
 * Where up turns over a corner by more than forward makes it, both legs turn to the mean as far as rows lean: stations of the rows which that
 * needs, so that the legs stay as they are. Metres, unordered.
 */
export function turnsIntoCorners(shape: Shape, { half, tolerance }: RowDemand): number[] {
  const { table } = shape;
  const { kinks, frames } = table;
  return kinks.flatMap((kink, i) => {
    const over = leanOver(shape, kinks, i, kink.station, half);
    const most = 2 * Math.acos(Math.max(1 - tolerance / half, 0));
    return (
      [
        ['before', -1],
        ['after', 1],
      ] as const
    ).flatMap(([side, way]) => {
      const at = kink[side] * FRAME_STRIDE;
      const along = (field: number) => [0, 1, 2].reduce((sum, c) => sum + kink.up[c] * frames[at + field + c], 0);
      const turn = Math.abs(Math.atan2(along(SIDE), along(UP)));
      if (turn < LEAST_TURN) return [];
      const count = 2 * Math.ceil(turn / most / 2); // even, as of all that twists
      const station = side === 'before' && kink.station === 0 ? table.length : kink.station;
      return Array.from({ length: count }, (_, k) => station + (way * over * (k + 1)) / count);
    });
  });
}

/** Writes the mean of a corner's two frames, not rolled, for a row that belongs to either side. */
export function meanOfCorner(out: Float64Array, { frames }: FrameTable, { before, after }: Kink): void {
  for (let field = FORWARD; field < CURVATURE; field += 3) {
    let size = 0;
    for (let k = field; k < field + 3; k++) {
      out[k] = frames[before * FRAME_STRIDE + k] + frames[after * FRAME_STRIDE + k];
      size += out[k] ** 2;
    }
    for (let k = field; k < field + 3; k++) out[k] /= Math.sqrt(size) || 1;
  }
}

/** A row whose up and side are slid along the path towards the corner's plane by the row's share; `frame` is rolled by `roll`. */
export function leaningRow(
  row: number,
  frame: Float64Array,
  roll: number,
  { frames, origin }: FrameTable,
  { kink, isBefore, share, slope }: CornerRow,
): LeaningRow {
  const from = kink.own ?? frames;
  const corner = kink.own ? 0 : (isBefore ? kink.before : kink.after) * FRAME_STRIDE;
  const [c, s] = [Math.cos(roll), Math.sin(roll)];
  const slid = (field: number, a: number, b: number): Vec3 =>
    [0, 1, 2].map((k) => {
      const mitred = a * kink.up[k] + b * kink.side[k];
      // In the plane both legs have the very same numbers, so that nothing opens.
      if (share === 1) return mitred;
      return frame[field + k] + share * (mitred - a * from[corner + UP + k] - b * from[corner + SIDE + k]);
    }) as unknown as Vec3;
  const [up, side] = [slid(UP, c, s), slid(SIDE, -s, c)];
  const position = origin.map(
    (o, k) => frame[k] - o + frame[OFFSET_UP] * up[k] + frame[OFFSET_SIDE] * side[k],
  ) as unknown as Vec3;
  return { row, position, up, side, perMetre: slope / share };
}
