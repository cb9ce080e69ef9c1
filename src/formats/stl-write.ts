import type { OnProgress } from '../core/math/progress';
import { refuseNaN, type NamedBytes, type NamedMesh } from './format';
import { HEADER, TRIANGLE } from './stl-sniff';

/** Binary, little-endian; y up is turned to z up, as slicers and printers expect (common practice, no source). */
export function writeStl(scene: readonly NamedMesh[], name: string, onProgress?: OnProgress): readonly NamedBytes[] {
  refuseNaN(scene);
  const total = scene.reduce((sum, { mesh }) => sum + mesh.indices.length / 3, 0);
  const bytes = new Uint8Array(HEADER + 4 + total * TRIANGLE);
  bytes.set(new TextEncoder().encode('Rattan, metres, z up').subarray(0, HEADER));
  const view = new DataView(bytes.buffer);
  view.setUint32(HEADER, total, true);
  let at = HEADER + 4;
  const corner = new Float64Array(9);
  for (const { mesh, origin = [0, 0, 0] } of scene) {
    const p = mesh.positions;
    for (let i = 0; i < mesh.indices.length; i += 3) {
      for (let k = 0; k < 3; k++) {
        const v = mesh.indices[i + k] * 3;
        corner[k * 3] = p[v] + origin[0];
        corner[k * 3 + 1] = -p[v + 2] - origin[2];
        corner[k * 3 + 2] = p[v + 1] + origin[1];
      }
      writeNormal(view, at, corner);
      for (let k = 0; k < 9; k++) view.setFloat32(at + 12 + k * 4, corner[k], true);
      at += TRIANGLE;
      if (i % 60_000 === 0) onProgress?.(at / bytes.length);
    }
  }
  return [{ name: `${name}.stl`, bytes }];
}

function writeNormal(view: DataView, at: number, c: Float64Array): void {
  const [ux, uy, uz] = [c[3] - c[0], c[4] - c[1], c[5] - c[2]];
  const [vx, vy, vz] = [c[6] - c[0], c[7] - c[1], c[8] - c[2]];
  const n = [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx];
  const l = Math.hypot(n[0], n[1], n[2]) || 1;
  for (let k = 0; k < 3; k++) view.setFloat32(at + k * 4, n[k] / l, true);
}
