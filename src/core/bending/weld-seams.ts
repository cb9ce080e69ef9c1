import { gatherVertices } from '../mesh/attributes';
import type { Mesh } from '../mesh/mesh';
import type { CoursePlan } from '../motion/pose-course';

/** Normals and texture coordinates that differ by no more than this are those of one vertex. */
const SAME = 1e-4;

/**
 * A course's mesh in which neighbours share the row of vertices at which they meet: those at the very same place, with the same normal and texture
 * coordinates. Vertices of an edge or of a seam of the texture stay two. Linear in vertices.
 */
export function weldSeams(mesh: Mesh, { pieces }: CoursePlan): Mesh {
  const { positions, normals, uvs, colours } = mesh;
  const count = positions.length / 3;
  const place = Uint32Array.from({ length: count }, (_, v) => v);
  let shared = 0;
  let base = 0;
  const isSame = (v: number, w: number) => {
    for (let c = 0; c < 3; c++) if (Math.abs(normals[v * 3 + c] - normals[w * 3 + c]) > SAME) return false;
    for (let c = 0; c < 2; c++) if (Math.abs(uvs[v * 2 + c] - uvs[w * 2 + c]) > SAME) return false;
    if (colours) for (let c = 0; c < 4; c++) if (colours[v * 4 + c] !== colours[w * 4 + c]) return false;
    return true;
  };
  pieces.forEach(({ form }, i) => {
    const next = base + form.mesh.positions.length / 3;
    const after = pieces[i + 1]?.form;
    if (after) {
      const ends = new Map<string, number[]>();
      const keyOf = (v: number) => `${positions[v * 3]},${positions[v * 3 + 1]},${positions[v * 3 + 2]}`;
      for (let v = base + form.rows[form.rows.length - 2]; v < next; v++) {
        const key = keyOf(v);
        ends.set(key, [...(ends.get(key) ?? []), v]);
      }
      for (let v = next; v < next + after.rows[1]; v++) {
        const twin = ends.get(keyOf(v))?.find((end) => isSame(end, v));
        if (twin === undefined) continue;
        place[v] = place[twin]!;
        shared++;
      }
    }
    base = next;
  });
  if (shared === 0) return mesh;
  // Vertices that are left move up.
  const kept: number[] = [];
  const moved = new Uint32Array(count);
  for (let v = 0; v < count; v++) moved[v] = place[v] === v ? kept.push(v) - 1 : moved[place[v]];
  return { ...mesh, ...gatherVertices(mesh, kept), indices: mesh.indices.map((v) => moved[v]) };
}
