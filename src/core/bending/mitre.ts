import { CURVATURE, FORWARD, FRAME_STRIDE, GAUGE, SIDE, UP, type FrameTable, type Kink } from '../frames/frame-table';
import { firstAfter } from '../frames/tightness';
import { MITRE_LIMIT, ON_PLANE_RELATIVE } from '../math/tolerance';
import { halfWidth, type PreparedSegment } from '../segment/prepared-segment';
import type { Bend } from './bend';

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

/** A row that leans into a corner: up and side of `frame` are slid along the path, and no longer square to it. */
export interface MitredRow extends CornerRow {
  readonly row: number;
  readonly frame: Float64Array;
}

/**
 * Finds out whether a row of a piece is near a corner. Rows lean over as far from it as the section's mitre reaches along the path, so that on the
 * inner side they come together in the corner's plane and never pass it. Undefined where the piece comes near no corner.
 */
export function buildMitre(
  segment: PreparedSegment,
  table: FrameTable,
  bend: Bend,
): ((row: number, station: number) => CornerRow | undefined) | undefined {
  if (table.kinks.length === 0) return undefined;
  const { rows } = segment;
  const doubled = new Set(segment.corners);
  const last = rows.length - 2;
  const half = halfWidth(segment.box) * bend.gauge;
  const end = bend.station + bend.factor * segment.length;
  const near = Math.max(bend.factor, 1) * segment.length * ON_PLANE_RELATIVE * 4 + table.length * 1e-12;
  const around = cornersAround(table, bend.station, end, half, near);
  if (around.length === 0) return undefined;
  const places = Float64Array.from(around, ({ at }) => at);
  const ofRow = (row: number, station: number, { kink, at, reach }: CornerAround): CornerRow | undefined => {
    const away = station - at;
    if (Math.abs(away) > Math.max(reach, near)) return undefined;
    if (Math.abs(away) <= near) {
      const isBoth = row > 0 && row < last && !doubled.has(row) && !doubled.has(row + 1);
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
  /** The greatest gauge at any of them. */
  readonly gauge: number;
}
const kept = new WeakMap<FrameTable, Corners>();

/** What is asked of a table's corners for every piece, found once. */
function cornersOf(table: FrameTable): Corners {
  const known = kept.get(table);
  if (known) return known;
  const { kinks, frames } = table;
  const gauge = kinks.reduce((most, { before }) => Math.max(most, frames[before * FRAME_STRIDE + GAUGE]!), 1);
  const corners = { stations: Float64Array.from(kinks, ({ station }) => station), gauge };
  kept.set(table, corners);
  return corners;
}

interface CornerAround {
  readonly kink: Kink;
  /** Metres: the corner's station as the piece counts them, which may go on beyond a closed path's seam. */
  readonly at: number;
  /** Metres to either side. */
  readonly reach: number;
}

/** The corners whose mitres reach into a stretch; a mitre ends half way to the next corner. */
function cornersAround(table: FrameTable, from: number, to: number, half: number, near: number): CornerAround[] {
  const { kinks, length, closed, frames } = table;
  const found: CornerAround[] = [];
  const { stations, gauge } = cornersOf(table);
  const far = MITRE_LIMIT * half * gauge + near;
  for (const round of closed ? [-1, 0, 1, 2] : [0]) {
    const end = firstAfter(stations, to + far - round * length);
    for (let i = firstAfter(stations, from - far - round * length); i < end; i++) {
      const kink = kinks[i]!;
      const at = kink.station + round * length;
      const before = kinks[i - 1]?.station ?? (closed ? kinks[kinks.length - 1]!.station - length : 0);
      const after = kinks[i + 1]?.station ?? (closed ? kinks[0]!.station + length : length);
      const mitre =
        Math.min(Math.tan(kink.angle / 2), MITRE_LIMIT) * half * frames[kink.before * FRAME_STRIDE + GAUGE]!;
      const room = Math.min(kink.station - before, after - kink.station) / 2;
      const reach = Math.min(mitre, room > 0 ? room : mitre);
      if (at + Math.max(reach, near) >= from && at - Math.max(reach, near) <= to) found.push({ kink, at, reach });
    }
  }
  return found;
}

/** Writes the mean of a corner's two frames, for a row that belongs to either side. */
export function blendCorner(out: Float64Array, at: number, { frames }: FrameTable, { before, after }: Kink): void {
  for (let field = FORWARD; field < CURVATURE; field += 3) {
    let size = 0;
    for (let k = field; k < field + 3; k++) {
      out[at + k] = frames[before * FRAME_STRIDE + k]! + frames[after * FRAME_STRIDE + k]!;
      size += out[at + k]! ** 2;
    }
    for (let k = field; k < field + 3; k++) out[at + k]! /= Math.sqrt(size) || 1;
  }
}

/** Slides up and side of a row's frame along the path towards the corner's plane by the row's share. */
export function leanInto(frame: Float64Array, { frames }: FrameTable, { kink, isBefore, share }: CornerRow): void {
  const corner = (isBefore ? kink.before : kink.after) * FRAME_STRIDE;
  for (const [field, mitred] of [
    [UP, kink.up],
    [SIDE, kink.side],
  ] as const) {
    for (let c = 0; c < 3; c++) {
      // In the plane both legs have the very same numbers, so that nothing opens.
      if (share === 1) frame[field + c] = mitred[c]!;
      else frame[field + c]! += share * (mitred[c]! - frames[corner + field + c]!);
    }
  }
}

/**
 * Writes the normals of a row that leans: with a = up . forward and b = side . forward of the leaning frame, which change by a' and b' per metre, a
 * normal (l, m, n) goes to forward A + up (m / gauge - A a) + side (n / gauge - A b), A = l / (factor (1 + gauge (y a' + z b'))): the inverse
 * transpose of the local map.
 */
export function turnMitred(
  out: Float32Array,
  at: number,
  { mesh: { positions, normals }, rows }: PreparedSegment,
  { row, frame, slope, share }: MitredRow,
  { frames, factors }: { readonly frames: Float64Array; readonly factors: Float64Array },
  runGauge: number,
): void {
  const f = row * FRAME_STRIDE;
  const gauge = runGauge * frames[f + GAUGE]!;
  const along = (field: number) =>
    frame[field]! * frames[f + FORWARD]! + frame[field + 1]! * frames[f + 4]! + frame[field + 2]! * frames[f + 5]!;
  const [a, b] = [along(UP), along(SIDE)];
  const perShare = slope / share;
  for (let v = rows[row]!; v < rows[row + 1]!; v++) {
    const i = v * 3;
    const [l, m, n] = [normals[i]!, normals[i + 1]!, normals[i + 2]!];
    const stretch = 1 + gauge * perShare * (positions[i + 1]! * a + positions[i + 2]! * b);
    const forward = l / (factors[row]! * Math.max(stretch, 1e-6));
    const [up, side] = [m / gauge - forward * a, n / gauge - forward * b];
    let size = 0;
    for (let c = 0; c < 3; c++) {
      const w = forward * frames[f + FORWARD + c]! + up * frames[f + UP + c]! + side * frames[f + SIDE + c]!;
      out[at + i + c] = w;
      size += w * w;
    }
    for (let c = 0; c < 3; c++) out[at + i + c]! /= Math.sqrt(size) || 1;
  }
}
