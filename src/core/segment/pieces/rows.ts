import { CURVATURE, FORWARD, SIDE, TWIST, UP } from '../../frames/frame-table';
import type { Vec3 } from '../../math/vec3';
import { GAUGE_SIDE, GAUGE_UP, OFFSET_SIDE, OFFSET_UP, SLOPE } from '../../shape/frame-on';
import type { PreparedSegment } from '../prepared-segment';

/**
 * Numbers a row: position xyz (with the shape's offset, from the table's origin), forward xyz, up xyz, side xyz, gauge up and sideways, factor
 * (metres along the path per metre of segment), then three triples (constant, y, z) that make normals: how much the surface is stretched along the
 * path, and how fast it moves upwards and sideways per metre of it, over the gauges.
 */
export const ROW_STRIDE = 24;
export const ROW_GAUGE = 12;
export const ROW_FACTOR = 14;
export const ROW_STRETCH = 15;
export const ROW_RISE = 18;
export const ROW_DRIFT = 21;

/** A row that leans towards the plane of a corner: its up and side are slid along the path, and no longer square to it. */
export interface LeaningRow {
  readonly row: number;
  /** With the shape's offset along the leaning up and side, from the table's origin. */
  readonly position: Vec3;
  readonly up: Vec3;
  readonly side: Vec3;
  /** By how much of what it leans a row leans more per metre along the path. */
  readonly perMetre: number;
}

/** How every row of vertices of a piece lies: the one thing that whoever makes geometry needs. */
export interface Rows {
  /** Flat, see {@link ROW_STRIDE}. */
  readonly frames: Float64Array;
  readonly leaning: LeaningRow[];
  /** Of upright pieces that stay level between two heights. */
  band?: LevelBand;
}

/** Heights of the segment, metres, between which a piece stays level, and over how much it goes over into what follows the slope. */
export interface LevelBand {
  readonly low: number;
  readonly high: number;
  readonly blend: number;
  /** Metres: how far up each row has to move to be level. */
  readonly drops: Float64Array;
}

/** Numbers that the rows of a form take. */
export const rowNumbers = ({ rows }: PreparedSegment): number => (rows.length - 1) * ROW_STRIDE;

/**
 * Writes a row that lies on a frame of a shape, `factor` metres along the path per metre of segment; places count from `origin`.
 *
 * A vertex (x, y, z) goes to P + a up + b side with a = gauge_up y + offset_up, b = gauge_side z + offset_side. With curvature vector k and total twist w
 * per metre the surface runs along x as factor ((1 - k.o) forward + (a' - w b) up + (b' + w a) side), so the inverse transpose takes a normal (l, m, n)
 * to up m / gauge_up + side n / gauge_side + forward (l / factor - m / gauge_up (a' - w b) - n / gauge_side (b' + w a)) / (1 - k.o); derived from
 * the frame equations.
 */
export function fillRow(rows: Rows, row: number, frame: Float64Array, factor: number, origin: Vec3): void {
  const { frames: out } = rows;
  const at = row * ROW_STRIDE;
  const up = frame[GAUGE_UP];
  const side = frame[GAUGE_SIDE];
  const a = frame[OFFSET_UP];
  const b = frame[OFFSET_SIDE];
  const twist = frame[TWIST];
  let ku = 0;
  let ks = 0;
  for (let c = 0; c < 3; c++) {
    const u = frame[UP + c];
    const s = frame[SIDE + c];
    ku += frame[CURVATURE + c] * u;
    ks += frame[CURVATURE + c] * s;
    out[at + c] = frame[c] + a * u + b * s - origin[c];
    out[at + FORWARD + c] = frame[FORWARD + c]!;
    out[at + UP + c] = u;
    out[at + SIDE + c] = s;
  }
  out[at + ROW_GAUGE] = up;
  out[at + ROW_GAUGE + 1] = side;
  out[at + ROW_FACTOR] = factor;
  out[at + ROW_STRETCH] = 1 - ku * a - ks * b;
  out[at + ROW_STRETCH + 1] = -ku * up;
  out[at + ROW_STRETCH + 2] = -ks * side;
  const perUp = 1 / up;
  const perSide = 1 / side;
  out[at + ROW_RISE] = (frame[OFFSET_UP + SLOPE] - twist * b) * perUp;
  out[at + ROW_RISE + 1] = frame[GAUGE_UP + SLOPE] * perUp;
  out[at + ROW_RISE + 2] = -twist * side * perUp;
  out[at + ROW_DRIFT] = (frame[OFFSET_SIDE + SLOPE] + twist * a) * perSide;
  out[at + ROW_DRIFT + 1] = twist * up * perSide;
  out[at + ROW_DRIFT + 2] = frame[GAUGE_SIDE + SLOPE] * perSide;
}

/** Moves a frame of a shape `by` metres along its own forward, and takes out of it whatever would bend, twist or swell what lies there. */
export function carryStiff(frame: Float64Array, by: number): void {
  for (let c = 0; c < 3; c++) frame[c] += by * frame[FORWARD + c];
  frame.fill(0, CURVATURE, TWIST + 1);
  frame.fill(0, GAUGE_UP + SLOPE);
}
