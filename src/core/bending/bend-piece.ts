import { fillFrame } from '../frames/fill-frame';
import { CURVATURE, FRAME_STRIDE, SIDE, TWIST, UP, type FrameTable } from '../frames/frame-table';
import type { PreparedSegment } from '../segment/prepare';

/** How one piece lies on the path. */
export interface Bend {
  /** Metres: the station of the piece's x = 0. */
  readonly station: number;
  /** Metres along the path per metre of segment. */
  readonly factor: number;
  /** Thickness factor across the path. */
  readonly gauge: number;
  /** Roll at station `rollFrom`, radians, and radians per metre from there on. */
  readonly roll: number;
  readonly rollFrom: number;
  readonly rollPerMetre: number;
}

/**
 * Writes the bent positions and normals of a piece, flat xyz, from vertex `firstVertex` on. One frame serves a whole row.
 *
 * A vertex (x, y, z) goes to P + o with o = gauge (y up + z side). With curvature vector k and total twist w per metre the
 * surface runs along x as factor ((1 - k.o) forward + w forward x o), so the inverse transpose takes a normal (a, b, c) to
 * up b / gauge + side c / gauge + forward (a / factor - w (y c - z b)) / (1 - k.o); derived from the frame equations.
 */
export function bendPiece(
  outPositions: Float32Array,
  outNormals: Float32Array,
  firstVertex: number,
  segment: PreparedSegment,
  table: FrameTable,
  bend: Bend,
): void {
  const { positions, normals } = segment.mesh;
  const { rows } = segment;
  const { gauge, factor } = bend;
  const frame = new Float64Array(FRAME_STRIDE);
  for (let r = 0; r + 1 < rows.length; r++) {
    const first = rows[r]! * 3;
    const last = rows[r + 1]! * 3;
    const station = bend.station + factor * positions[first]!;
    fillFrame(frame, 0, table, station);
    rollFrame(frame, bend.roll + bend.rollPerMetre * (station - bend.rollFrom));
    const out = firstVertex * 3 + first;
    placeRow(outPositions, out, positions, first, last, frame, gauge);
    turnRow(outNormals, out, positions, normals, first, last, frame, bend);
  }
}

/** Turns up and side about forward by `angle` radians. */
function rollFrame(frame: Float64Array, angle: number): void {
  if (angle === 0) return;
  const c = Math.cos(angle);
  const s = Math.sin(angle);
  for (let k = 0; k < 3; k++) {
    const u = frame[UP + k]!;
    const v = frame[SIDE + k]!;
    frame[UP + k] = u * c + v * s;
    frame[SIDE + k] = v * c - u * s;
  }
}

/*
 * NOTES. Positions and normals go in two loops: each then needs few enough constants to stay in registers. With both in one
 * loop 1 M vertices took 54 ms, with two 25 ms. The normal is multiplied by the stretch instead of dividing forward by it.
 */
function placeRow(
  out: Float32Array,
  at: number,
  positions: Float32Array,
  first: number,
  last: number,
  frame: Float64Array,
  gauge: number,
): void {
  const px = frame[0]!;
  const py = frame[1]!;
  const pz = frame[2]!;
  const ux = frame[6]! * gauge;
  const uy = frame[7]! * gauge;
  const uz = frame[8]! * gauge;
  const sx = frame[9]! * gauge;
  const sy = frame[10]! * gauge;
  const sz = frame[11]! * gauge;
  for (let i = first, o = at; i < last; i += 3, o += 3) {
    const y = positions[i + 1]!;
    const z = positions[i + 2]!;
    out[o] = px + y * ux + z * sx;
    out[o + 1] = py + y * uy + z * sy;
    out[o + 2] = pz + y * uz + z * sz;
  }
}

function turnRow(
  out: Float32Array,
  at: number,
  positions: Float32Array,
  normals: Float32Array,
  first: number,
  last: number,
  frame: Float64Array,
  bend: Bend,
): void {
  const inverseGauge = 1 / bend.gauge;
  const inverseFactor = 1 / bend.factor;
  const fx = frame[3]!;
  const fy = frame[4]!;
  const fz = frame[5]!;
  const ux = frame[6]! * inverseGauge;
  const uy = frame[7]! * inverseGauge;
  const uz = frame[8]! * inverseGauge;
  const sx = frame[9]! * inverseGauge;
  const sy = frame[10]! * inverseGauge;
  const sz = frame[11]! * inverseGauge;
  const scale = bend.gauge * bend.gauge;
  const ku = scale * (frame[CURVATURE]! * ux + frame[CURVATURE + 1]! * uy + frame[CURVATURE + 2]! * uz);
  const ks = scale * (frame[CURVATURE]! * sx + frame[CURVATURE + 1]! * sy + frame[CURVATURE + 2]! * sz);
  const twist = frame[TWIST]! + bend.rollPerMetre;
  for (let i = first, o = at; i < last; i += 3, o += 3) {
    const y = positions[i + 1]!;
    const z = positions[i + 2]!;
    const b = normals[i + 1]!;
    const d = normals[i + 2]!;
    const stretch = 1 - ku * y - ks * z; // where it is negative the surface has folded over and faces the other way
    const f = normals[i]! * inverseFactor - twist * (y * d - z * b);
    const u = b * stretch;
    const s = d * stretch;
    const x = fx * f + ux * u + sx * s;
    const v = fy * f + uy * u + sy * s;
    const w = fz * f + uz * u + sz * s;
    const l = 1 / Math.sqrt(x * x + v * v + w * w + 1e-30);
    out[o] = x * l;
    out[o + 1] = v * l;
    out[o + 2] = w * l;
  }
}
