import { BufferAttribute, BufferGeometry, DoubleSide, Ray, Vector3 } from 'three';
import { MeshBVH } from 'three-mesh-bvh';
import type { GuideMesh } from '../core/guides/guide-body';
import type { Surface, SurfacePlace } from '../core/mesh/surface';
import { cross, dot, length, normalize, sub, type Vec3 } from '../core/math/vec3';
import { boxOf } from '../core/mesh/box';
import { isClosed } from '../core/mesh/is-closed';

/** Unit directions that run along no face or edge of what people build. */
const WAYS = [normalize([0.5377, 0.8339, -0.1241]), normalize([-0.7431, 0.2113, 0.6349]), normalize([0.1907, -0.4561, 0.8693])] as const; // prettier-ignore
/** An open mesh has a behind only where its nearest place lies within a face: beside its rim there is neither. */
const SQUARE_ON = 0.999;

/** Corners of larger meshes are not sorted out to tell whether they close: that takes seconds. */
const MOST_CHECKED = 3_000_000;

const isBehind = (to: Vec3, place: Vec3, facing: Vec3): boolean => {
  const d = sub(to, place);
  return dot(d, facing) < -SQUARE_ON * length(d);
};

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
  const box = boxOf(positions);
  const point = new Vector3();
  const ray = new Ray();
  const corner = (face: number, k: number): Vec3 => {
    const at = order[face * 3 + k] * 3;
    return [positions[at], positions[at + 1], positions[at + 2]];
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
      const at = order[face * 3 + k] * 3;
      for (let axis = 0; axis < 3; axis++) sum[axis] += shares[k] * normals[at + axis];
    }
    return normalize(sum, facing(face));
  };
  let known: boolean | undefined;
  const closed = (): boolean => (known ??= indices.length <= MOST_CHECKED && isClosed({ positions, indices }));
  const parity = (from: Vec3, way: Vec3): boolean => {
    ray.origin.set(...from);
    ray.direction.set(...way);
    return bvh.raycast(ray, DoubleSide).length % 2 === 1;
  };
  /** Odd crossings to the outside, by the word of two rays of three: one may run along an edge. */
  const isWithin = (to: Vec3): boolean => {
    if (to.some((v, c) => v < box.min[c] || v > box.max[c])) return false;
    const [a, b] = [parity(to, WAYS[0]), parity(to, WAYS[1])];
    return a === b ? a : parity(to, WAYS[2]);
  };
  return {
    nearest(to, most = Infinity): SurfacePlace | undefined {
      const hit = bvh.closestPointToPoint(point.set(...to), undefined, 0, most);
      if (!hit || !(hit.distance <= most)) return undefined;
      const place: Vec3 = [hit.point.x, hit.point.y, hit.point.z];
      const isInside = closed() ? isWithin(to) : isBehind(to, place, facing(hit.faceIndex));
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
