import type { OnProgress } from '../../math/progress';
import type { Mesh } from '../mesh';
import type { CleanSpec } from './clean-spec';
import { creaseNormals } from './crease-normals';
import { meshFigures, type MeshFigures } from './figures';
import { dropSpecks } from './loose-parts';
import { subdivide } from './subdivide';
import { thinOut } from './thin-out';
import { turnInsideOut } from './turn-inside-out';
import { weld } from './weld';

export interface Cleaned {
  readonly mesh: Mesh;
  readonly before: MeshFigures;
  readonly after: MeshFigures;
}

/** Half a right angle and a little: the usual smoothing angle (common practice, no source). */
const SMOOTH_ANGLE = (50 * Math.PI) / 180;

/** Cleans a mesh; `unit` = metres per unit of its positions. Tells progress after each step. */
export async function cleanMesh(mesh: Mesh, spec: CleanSpec, unit: number, onProgress?: OnProgress): Promise<Cleaned> {
  const { weld: near, specks, thin } = spec;
  const crease = spec.crease ?? (spec.subdivide > 0 ? SMOOTH_ANGLE : null);
  const steps: ((mesh: Mesh) => Mesh | Promise<Mesh>)[] = [
    ...(near !== null ? [(m: Mesh) => weld(m, near / unit)] : []),
    ...(specks > 0 ? [(m: Mesh) => dropSpecks(m, specks)] : []),
    ...(spec.insideOut ? [turnInsideOut] : []),
    ...(thin < 1 ? [(m: Mesh) => thinOut(m, thin)] : []),
    ...Array.from({ length: spec.subdivide }, () => subdivide),
    ...(crease !== null ? [(m: Mesh) => creaseNormals(m, crease)] : []),
  ];
  const tell = (done: number) => onProgress?.(done / (steps.length + 2));
  const before = await meshFigures(mesh);
  tell(1);
  let out = mesh;
  for (const [i, step] of steps.entries()) {
    out = await step(out);
    tell(i + 2);
  }
  return { mesh: out, before, after: await meshFigures(out) };
}
