import { cross, dot, normalize, sub, type Vec3 } from '../math/vec3';
import type { GuideMesh } from './guide-body';

/** A body of flat faces, each seen whole from its first corner, its corners counter-clockwise from outside; every face keeps a normal of its own. */
export function flatBody(faces: readonly (readonly Vec3[])[]): Pick<GuideMesh, 'positions' | 'normals' | 'indices'> {
  const positions: number[] = [];
  const normals: number[] = [];
  const indices: number[] = [];
  for (const face of faces) {
    const base = positions.length / 3;
    const normal = normalOf(face);
    for (const corner of face) {
      positions.push(...corner);
      normals.push(...normal);
    }
    for (let i = 2; i < face.length; i++) indices.push(base, base + i - 1, base + i);
  }
  return {
    positions: Float32Array.from(positions),
    normals: Float32Array.from(normals),
    indices: Uint32Array.from(indices),
  };
}

/** Normal of the largest triangle of a face: corners may coincide. */
function normalOf(face: readonly Vec3[]): Vec3 {
  let best: Vec3 = [0, 1, 0];
  let most = 0;
  for (let i = 2; i < face.length; i++) {
    const n = cross(sub(face[i - 1], face[0]), sub(face[i], face[0]));
    if (dot(n, n) > most) [best, most] = [n, dot(n, n)];
  }
  return normalize(best, [0, 1, 0]);
}
