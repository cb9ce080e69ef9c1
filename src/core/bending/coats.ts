import { buildRows, type FitSpec } from '../layout/fit-registry';
import type { Vec3 } from '../math/vec3';
import { coverAt } from '../mesh/mask-registry';
import type { Mesh, Part } from '../mesh/mesh';
import type { PosedPiece } from '../motion/pose-course';
import { bendRows } from './bend-rows';

/** Opacity below which nothing of a coat is seen. */
const LEAST_SEEN = 1 / 255;

export const hasCoats = ({ parts }: Pick<Mesh, 'parts'>): boolean => parts.some(({ coat }) => coat !== undefined);

/**
 * Writes how much of a piece's vertices its coats cover into the opacity of colours, four numbers a vertex from `base` on: as the piece lies in the
 * finished run, so that coats do not crawl while it moves. Materials without a coat take no notice of that opacity.
 */
export function fillCoats(colours: Float32Array, base: number, { form, atRest, laid }: PosedPiece, fit: FitSpec): void {
  const { mesh } = form;
  const { station, factor, worn, placement, pins, strewn } = laid;
  const place = { station, factor, scale: 1, natural: worn.length, overlap: placement.overlap, pins, strewn };
  const positions = new Float32Array(mesh.positions.length);
  const normals = new Float32Array(mesh.positions.length);
  bendRows(positions, normals, 0, form, buildRows(fit, form, atRest, place));
  const [ox, oy, oz] = atRest.table.origin;
  for (const { coat, start, count } of mesh.parts) {
    if (!coat) continue;
    const done = new Set<number>();
    for (let i = start; i < start + count; i++) {
      const v = mesh.indices[i];
      if (done.has(v)) continue;
      done.add(v);
      const [x, y, z] = vectorAt(mesh.positions, v);
      const [px, py, pz] = vectorAt(positions, v);
      const point = {
        position: [px + ox, py + oy, pz + oz] as const,
        normal: vectorAt(normals, v),
        own: [station + factor * x, y, z] as const,
        facing: vectorAt(mesh.normals, v),
      };
      colours[(base + v) * 4 + 3] = Math.round(255 * coverAt(coat.mask, point)) / 255; // pieces that meet agree
    }
  }
}

const vectorAt = (values: Float32Array, v: number): Vec3 => [values[v * 3], values[v * 3 + 1], values[v * 3 + 2]];

/** The triangles of a part of which something is covered, by their vertices' opacity; indices into the piece. */
export function coveredTriangles({ indices }: Mesh, { start, count }: Part, colours: Float32Array, base: number) {
  const covered: number[] = [];
  const isSeen = (v: number) => colours[(base + v) * 4 + 3] >= LEAST_SEEN;
  for (let i = start; i < start + count; i += 3)
    if (isSeen(indices[i]) || isSeen(indices[i + 1]) || isSeen(indices[i + 2]))
      covered.push(indices[i], indices[i + 1], indices[i + 2]);
  return Uint32Array.from(covered);
}
