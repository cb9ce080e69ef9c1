import { fillFrame } from '../frames/fill-frame';
import {
  CURVATURE,
  FLARE,
  FORWARD,
  FRAME_STRIDE,
  GAUGE,
  SIDE,
  TWIST,
  UP,
  type FrameTable,
} from '../frames/frame-table';
import type { OnProgress } from '../math/progress';
import type { PreparedSegment } from '../segment/prepared-segment';
import { stiffPlaces } from '../segment/stiff-zones';
import type { Bend } from './bend';
import { blendCorner, buildMitre, leanInto, turnMitred, type MitredRow } from './mitre';

/**
 * Writes the bent positions and normals of a piece, flat xyz, from vertex `firstVertex` on; positions from the table's origin. One frame serves
 * a whole row.
 *
 * A vertex (x, y, z) goes to P + o with o = gauge (y up + z side). With curvature vector k and total twist w per metre the
 * surface runs along x as factor ((1 - k.o) forward + w forward x o + gauge' (y up + z side)), so the inverse transpose takes a normal
 * (a, b, c) to up b / gauge + side c / gauge + forward (a / factor - w (y c - z b) - gauge' / gauge (y b + z c)) / (1 - k.o); derived
 * from the frame equations.
 */
export function bendPiece(
  outPositions: Float32Array,
  outNormals: Float32Array,
  firstVertex: number,
  segment: PreparedSegment,
  table: FrameTable,
  bend: Bend,
  onProgress?: OnProgress,
): void {
  const { mesh, rows } = segment;
  const rowFrame = rowFrames(segment, table, bend);
  const rowCount = rows.length - 1;
  const perStep = Math.max(1, Math.ceil((rowCount * VERTICES_PER_STEP * 3) / mesh.positions.length));
  for (let r = 0; r < rowCount; r += perStep) {
    const some = rows.subarray(r, r + perStep + 1);
    const frames = rowFrame.frames.subarray(r * FRAME_STRIDE);
    const factors = rowFrame.factors.subarray(r);
    placeRows(outPositions, firstVertex * 3, mesh.positions, some, frames, bend.gauge);
    turnRows(outNormals, firstVertex * 3, mesh.positions, mesh.normals, some, frames, factors, bend);
    onProgress?.(Math.min(1, (r + perStep) / rowCount));
  }
  for (const mitred of rowFrame.mitred) {
    const some = rows.subarray(mitred.row, mitred.row + 2);
    placeRows(outPositions, firstVertex * 3, mesh.positions, some, mitred.frame, bend.gauge);
    turnMitred(outNormals, firstVertex * 3, segment, mitred, rowFrame, bend.gauge);
  }
}

/** How many vertices go between two steps of progress, some milliseconds' worth. */
const VERTICES_PER_STEP = 250_000;

/** Square of the forward part below which a normal counts as square to the path: a millionth, far below a float's error. */
const SQUARE_ON = 1e-12;

/*
 * NOTES. Frames, positions and normals go in three passes: each loop then has few enough constants to stay in registers (1 M
 * vertices took 54 ms with positions and normals in one loop). `| 0` on every place spares the compiled loop an overflow check a
 * number: 25.6 ms became 21.0. Normals that are square to the path (all of an extruded segment's) are spared the root and the
 * divisions. Blocks of 64 rows, and a second loop for rows with other normals, made no difference.
 */

interface RowFrames {
  /** The rolled frame of every row, laid out as samples of a frame table. */
  readonly frames: Float64Array;
  /** Metres along the path per metre of segment, for every row. */
  readonly factors: Float64Array;
  /** Rows that lean towards the plane of a corner. */
  readonly mitred: readonly MitredRow[];
}

function rowFrames(segment: PreparedSegment, table: FrameTable, bend: Bend): RowFrames {
  const { mesh, rows } = segment;
  const rowCount = rows.length - 1;
  const frames = new Float64Array(rowCount * FRAME_STRIDE);
  const factors = new Float64Array(rowCount).fill(bend.factor);
  const places = segment.stiff.length > 0 ? stiffPlaces(segment, bend.factor) : undefined;
  const mitre = buildMitre(segment, table, bend);
  const [x0, y0, z0] = table.origin;
  const mitred: MitredRow[] = [];
  for (let r = 0; r < rowCount; r++) {
    const at = r * FRAME_STRIDE;
    const x = mesh.positions[rows[r]! * 3]!;
    const place = places?.(x);
    let station = bend.station + (place ? place.frameAt : bend.factor * x);
    const corner = mitre?.(r, station);
    if (corner) station = corner.station;
    fillFrame(frames, at, table, station, corner?.isBefore);
    frames[at]! -= x0;
    frames[at + 1]! -= y0;
    frames[at + 2]! -= z0;
    if (place) {
      factors[r] = place.factor;
      if (place.isStiff) carryStiff(frames, at, place.along - place.frameAt, bend.rollPerMetre);
    }
    const angle = bend.roll + bend.rollPerMetre * (station - bend.rollFrom);
    if (corner && corner.share > 0 && !place?.isStiff) {
      const frame = frames.slice(at, at + FRAME_STRIDE);
      leanInto(frame, table, corner);
      roll(frame, 0, angle);
      mitred.push({ row: r, frame, ...corner });
    }
    if (corner?.isBoth) blendCorner(frames, at, table, corner.kink);
    if (angle !== 0) roll(frames, at, angle);
  }
  return { frames, factors, mitred };
}

/** Turns up and side of a frame about forward by an angle, radians. */
function roll(frames: Float64Array, at: number, angle: number): void {
  const c = Math.cos(angle);
  const s = Math.sin(angle);
  for (let k = at; k < at + 3; k++) {
    const u = frames[k + UP]!;
    const v = frames[k + SIDE]!;
    frames[k + UP] = u * c + v * s;
    frames[k + SIDE] = v * c - u * s;
  }
}

/** Moves a frame `by` metres along its own forward and takes bend and twist out of it, the run's own roll per metre too. */
function carryStiff(frames: Float64Array, at: number, by: number, rollPerMetre: number): void {
  for (let c = 0; c < 3; c++) frames[at + c]! += by * frames[at + FORWARD + c]!;
  frames.fill(0, at + CURVATURE, at + TWIST);
  frames[at + FLARE] = 0;
  frames[at + TWIST] = -rollPerMetre;
}

function placeRows(
  out: Float32Array,
  at: number,
  positions: Float32Array,
  rows: Uint32Array,
  frames: Float64Array,
  runGauge: number,
): void {
  for (let r = 0; r + 1 < rows.length; r++) {
    const f = r * FRAME_STRIDE;
    const gauge = runGauge * frames[f + GAUGE]!;
    const px = frames[f]!;
    const py = frames[f + 1]!;
    const pz = frames[f + 2]!;
    const ux = frames[f + 6]! * gauge;
    const uy = frames[f + 7]! * gauge;
    const uz = frames[f + 8]! * gauge;
    const sx = frames[f + 9]! * gauge;
    const sy = frames[f + 10]! * gauge;
    const sz = frames[f + 11]! * gauge;
    const last = (rows[r + 1]! * 3) | 0;
    for (let i = (rows[r]! * 3) | 0, o = (at + i) | 0; i < last; i = (i + 3) | 0, o = (o + 3) | 0) {
      const y = positions[(i + 1) | 0]!;
      const z = positions[(i + 2) | 0]!;
      out[o] = px + y * ux + z * sx;
      out[(o + 1) | 0] = py + y * uy + z * sy;
      out[(o + 2) | 0] = pz + y * uz + z * sz;
    }
  }
}

function turnRows(
  out: Float32Array,
  at: number,
  positions: Float32Array,
  normals: Float32Array,
  rows: Uint32Array,
  frames: Float64Array,
  factors: Float64Array,
  bend: Bend,
): void {
  const { rollPerMetre } = bend;
  for (let r = 0; r + 1 < rows.length; r++) {
    const f = r * FRAME_STRIDE;
    const gauge = bend.gauge * frames[f + GAUGE]!;
    const flare = bend.gauge * frames[f + FLARE]!;
    const ahead = gauge / factors[r]!;
    const fx = frames[f + 3]!;
    const fy = frames[f + 4]!;
    const fz = frames[f + 5]!;
    const ux = frames[f + 6]!;
    const uy = frames[f + 7]!;
    const uz = frames[f + 8]!;
    const sx = frames[f + 9]!;
    const sy = frames[f + 10]!;
    const sz = frames[f + 11]!;
    const kx = frames[f + CURVATURE]! * gauge;
    const ky = frames[f + CURVATURE + 1]! * gauge;
    const kz = frames[f + CURVATURE + 2]! * gauge;
    const ku = kx * ux + ky * uy + kz * uz;
    const ks = kx * sx + ky * sy + kz * sz;
    const twist = (frames[f + TWIST]! + rollPerMetre) * gauge;
    const last = (rows[r + 1]! * 3) | 0;
    for (let i = (rows[r]! * 3) | 0, o = (at + i) | 0; i < last; i = (i + 3) | 0, o = (o + 3) | 0) {
      const y = positions[(i + 1) | 0]!;
      const z = positions[(i + 2) | 0]!;
      const b = normals[(i + 1) | 0]!;
      const c = normals[(i + 2) | 0]!;
      // Times the gauge, so that b and c stay as they are: nothing to renormalise where the normal has no forward part.
      const forward = normals[i]! * ahead - twist * (y * c - z * b) - flare * (y * b + z * c);
      if (forward * forward < SQUARE_ON) {
        out[o] = ux * b + sx * c;
        out[(o + 1) | 0] = uy * b + sy * c;
        out[(o + 2) | 0] = uz * b + sz * c;
      } else {
        const stretch = 1 - ku * y - ks * z; // negative where the surface has folded over
        const t = forward / (stretch === 0 ? 1e-9 : stretch);
        const l = 1 / Math.sqrt(t * t + b * b + c * c);
        out[o] = (fx * t + ux * b + sx * c) * l;
        out[(o + 1) | 0] = (fy * t + uy * b + sy * c) * l;
        out[(o + 2) | 0] = (fz * t + uz * b + sz * c) * l;
      }
    }
  }
}
