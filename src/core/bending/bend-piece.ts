import { fillFrame } from '../frames/fill-frame';
import { CURVATURE, FRAME_STRIDE, TWIST, type FrameTable } from '../frames/frame-table';
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
  const inverseGauge = 1 / gauge;
  const inverseFactor = 1 / factor;
  const frame = new Float64Array(FRAME_STRIDE);
  for (let r = 0; r + 1 < rows.length; r++) {
    const first = rows[r]!;
    const last = rows[r + 1]!;
    const station = bend.station + factor * positions[first * 3]!;
    fillFrame(frame, 0, table, station);
    const px = frame[0]!;
    const py = frame[1]!;
    const pz = frame[2]!;
    const fx = frame[3]!;
    const fy = frame[4]!;
    const fz = frame[5]!;
    const angle = bend.roll + bend.rollPerMetre * (station - bend.rollFrom);
    const c = Math.cos(angle);
    const s = Math.sin(angle);
    const ux = frame[6]! * c + frame[9]! * s;
    const uy = frame[7]! * c + frame[10]! * s;
    const uz = frame[8]! * c + frame[11]! * s;
    const sx = frame[9]! * c - frame[6]! * s;
    const sy = frame[10]! * c - frame[7]! * s;
    const sz = frame[11]! * c - frame[8]! * s;
    const kx = frame[CURVATURE]!;
    const ky = frame[CURVATURE + 1]!;
    const kz = frame[CURVATURE + 2]!;
    const ku = gauge * (kx * ux + ky * uy + kz * uz);
    const ks = gauge * (kx * sx + ky * sy + kz * sz);
    const twist = frame[TWIST]! + bend.rollPerMetre;
    const ugx = ux * gauge;
    const ugy = uy * gauge;
    const ugz = uz * gauge;
    const sgx = sx * gauge;
    const sgy = sy * gauge;
    const sgz = sz * gauge;
    for (let i = first * 3, o = (firstVertex + first) * 3, end = last * 3; i < end; i += 3, o += 3) {
      const y = positions[i + 1]!;
      const z = positions[i + 2]!;
      outPositions[o] = px + y * ugx + z * sgx;
      outPositions[o + 1] = py + y * ugy + z * sgy;
      outPositions[o + 2] = pz + y * ugz + z * sgz;
      const b = normals[i + 1]!;
      const d = normals[i + 2]!;
      let stretch = 1 - ku * y - ks * z;
      if (stretch < 1e-6 && stretch > -1e-6) stretch = 1e-6; // folding over: the surface has no direction there
      const nf = (normals[i]! * inverseFactor - twist * (y * d - z * b)) / stretch;
      const nu = b * inverseGauge;
      const ns = d * inverseGauge;
      const l = 1 / Math.sqrt(nf * nf + nu * nu + ns * ns);
      outNormals[o] = (fx * nf + ux * nu + sx * ns) * l;
      outNormals[o + 1] = (fy * nf + uy * nu + sy * ns) * l;
      outNormals[o + 2] = (fz * nf + uz * nu + sz * ns) * l;
    }
  }
}
