import { BufferAttribute, BufferGeometry, DoubleSide, Ray, Vector3 } from 'three';
import { MeshBVH } from 'three-mesh-bvh';
import type { GuideMesh } from '../core/guides/guide-body';
import type { Surface, SurfacePlace } from '../core/guides/surface';
import { cross, dot, normalize, sub, type Vec3 } from '../core/math/vec3';

/** Answers for a mesh through a bounding volume hierarchy; normals run smoothly where the mesh's own do. */
export function buildSurface({
  positions,
  normals,
  indices,
}: Pick<GuideMesh, 'positions' | 'normals' | 'indices'>): Surface {
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(positions, 3));
  geometry.setIndex(new BufferAttribute(indices.slice(), 1)); // the hierarchy sorts it
  const bvh = new MeshBVH(geometry);
  const order = geometry.index!.array;
  const point = new Vector3();
  const ray = new Ray();
  const corner = (face: number, k: number): Vec3 => {
    const at = order[face * 3 + k]! * 3;
    return [positions[at]!, positions[at + 1]!, positions[at + 2]!];
  };
  const facing = (face: number): Vec3 => {
    const a = corner(face, 0);
    return normalize(cross(sub(corner(face, 1), a), sub(corner(face, 2), a)), [0, 1, 0]);
  };
  /** The corners' normals by the place's shares of the triangle. */
  const normalAt = (face: number, place: Vec3): Vec3 => {
    const [a, b, c] = [corner(face, 0), corner(face, 1), corner(face, 2)];
    const n = cross(sub(b, a), sub(c, a));
    const nn = dot(n, n) || 1;
    const shares = [
      dot(cross(sub(c, b), sub(place, b)), n) / nn,
      dot(cross(sub(a, c), sub(place, c)), n) / nn,
      dot(cross(sub(b, a), sub(place, a)), n) / nn,
    ];
    const sum: [number, number, number] = [0, 0, 0];
    for (let k = 0; k < 3; k++) {
      const at = order[face * 3 + k]! * 3;
      for (let axis = 0; axis < 3; axis++) sum[axis]! += shares[k]! * normals[at + axis]!;
    }
    return normalize(sum, facing(face));
  };
  return {
    nearest(to, most = Infinity): SurfacePlace | undefined {
      const hit = bvh.closestPointToPoint(point.set(...to), undefined, 0, most);
      if (!hit || !(hit.distance <= most)) return undefined;
      const place: Vec3 = [hit.point.x, hit.point.y, hit.point.z];
      const isInside = dot(sub(to, place), facing(hit.faceIndex)) < 0;
      return { place, normal: normalAt(hit.faceIndex, place), distance: isInside ? -hit.distance : hit.distance };
    },
    hit(from, direction): SurfacePlace | undefined {
      ray.origin.set(...from);
      ray.direction.set(...direction).normalize();
      const hit = bvh.raycastFirst(ray, DoubleSide);
      if (!hit || typeof hit.faceIndex !== 'number') return undefined;
      const place: Vec3 = [hit.point.x, hit.point.y, hit.point.z];
      return { place, normal: normalAt(hit.faceIndex, place), distance: hit.distance };
    },
  };
}
