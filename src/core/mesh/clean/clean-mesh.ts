import { z } from 'zod';
import type { OnProgress } from '../../math/progress';
import type { Mesh } from '../mesh';
import { creaseNormals } from './crease-normals';
import { meshFigures, type MeshFigures } from './figures';
import { dropSpecks } from './loose-parts';
import { subdivide } from './subdivide';
import { thinOut } from './thin-out';
import { turnInsideOut } from './turn-inside-out';
import { weld } from './weld';

/** What is done to a brought mesh before it is turned into a segment, in this order. */
export const cleanSpecSchema = z.strictObject({
  /** Vertices within this many metres become one; null = left alone. */
  weld: z.number().min(0).max(10).nullable(),
  /** Loose parts with less than this share of the largest one's area are dropped. */
  specks: z.number().min(0).max(1),
  insideOut: z.boolean(),
  /** Share of the triangles that stay. */
  thin: z.number().min(0.001).max(1),
  subdivide: z.union([z.literal(0), z.literal(1), z.literal(2)]),
  /** Faces that meet at less than this angle share their normals, radians; null = normals as they are in the file. */
  crease: z.number().min(0).max(Math.PI).nullable(),
});

export type CleanSpec = z.infer<typeof cleanSpecSchema>;

export const CLEAN_DEFAULTS: CleanSpec = {
  weld: null,
  specks: 0,
  insideOut: false,
  thin: 1,
  subdivide: 0,
  crease: null,
};

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
  const before = meshFigures(mesh);
  tell(1);
  let out = mesh;
  for (const [i, step] of steps.entries()) {
    out = await step(out);
    tell(i + 2);
  }
  return { mesh: out, before, after: meshFigures(out) };
}
