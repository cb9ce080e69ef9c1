import { ATTRIBUTES } from '../mesh/attributes';
import { cross, dot, length, sub, type Vec3 } from '../math/vec3';
import type { Mesh } from '../mesh/mesh';

/** No other triangle makes up a flat face with this one. */
export const NO_PAIR = -1;

/** Sine of the angle between two triangles up to which they are one flat face. */
const FLAT = 1e-5;
/** What normals, texture coordinates and colours may be off by from running on linearly. */
const LINEAR = 1e-4;

/**
 * Pairs of triangles that are one flat face: side by side over their longest edge along x, convex together, with everything that vertices carry
 * running on linearly. `triangles` are places in the index list.
 * @returns for every triangle the other one, or {@link NO_PAIR}, and the four corners of each face in their order.
 */
export function flatPairs(mesh: Mesh, triangles: readonly number[]): { partner: Int32Array; faces: number[][] } {
  const { indices, positions } = mesh;
  const count = positions.length / 3;
  const partner = new Int32Array(triangles.length).fill(NO_PAIR);
  const faces: number[][] = [];
  const waiting = new Map<number, number>();
  triangles.forEach((i, t) => {
    const corner = (k: number) => indices[i + (k % 3)];
    let [longest, most] = [0, -1];
    for (let k = 0; k < 3; k++) {
      const over = Math.abs(positions[corner(k + 1) * 3] - positions[corner(k) * 3]);
      if (over > most) [longest, most] = [k, over];
    }
    // A face's diagonal is the longest edge of both; of two that are equally long either will do.
    for (let k = 0; k < 3; k++) {
      const [a, b, c] = [corner(k), corner(k + 1), corner(k + 2)];
      const over = Math.abs(positions[b * 3] - positions[a * 3]);
      if (k !== longest && over < most * (1 - 1e-6)) continue;
      const other = waiting.get(b * count + a);
      if (other !== undefined && partner[other] === NO_PAIR && partner[t] === NO_PAIR) {
        const d = opposite(indices, triangles[other], a, b);
        if (isFlatFace(mesh, a, b, c, d)) {
          [partner[t], partner[other]] = [other, t];
          faces.push([a, d, b, c]);
        }
      }
      waiting.set(a * count + b, t);
    }
  });
  return { partner, faces };
}

/** The corner of a triangle that is neither of two. */
function opposite(indices: Uint32Array, i: number, a: number, b: number): number {
  for (let k = i; k < i + 3; k++) if (indices[k] !== a && indices[k] !== b) return indices[k];
  return indices[i];
}

/** Whether the face a, d, b, c with the diagonal a-b is flat and convex, and d carries what follows from the other three. */
function isFlatFace(mesh: Mesh, a: number, b: number, c: number, d: number): boolean {
  const p = (v: number): Vec3 => [mesh.positions[v * 3], mesh.positions[v * 3 + 1], mesh.positions[v * 3 + 2]];
  const [pa, pb, pc, pd] = [p(a), p(b), p(c), p(d)];
  const [ab, ac, ad] = [sub(pb, pa), sub(pc, pa), sub(pd, pa)];
  const normal = cross(ab, ac);
  const twice = length(normal);
  if (twice === 0 || Math.abs(dot(normal, ad)) > FLAT * twice * length(ad)) return false;
  // Barycentric coordinates of d: the other side of a-b, and between the lines from c through a and b.
  const wc = dot(cross(ab, ad), normal) / (twice * twice);
  const wb = dot(cross(ad, ac), normal) / (twice * twice);
  const wa = 1 - wb - wc;
  if (!(wc < 0) || wa < -1e-6 || wb < -1e-6) return false;
  const isLinear = (of: Float32Array | undefined, size: number) => {
    for (let k = 0; of && k < size; k++) {
      const at = (v: number) => of[v * size + k];
      if (Math.abs(wa * at(a) + wb * at(b) + wc * at(c) - at(d)) > LINEAR * Math.max(1, Math.abs(at(d)))) return false;
    }
    return true;
  };
  return (['normals', 'uvs', 'colours'] as const).every((name) => isLinear(mesh[name], ATTRIBUTES[name]));
}
