import { BufferAttribute, BufferGeometry } from 'three';
import { MeshBVH } from 'three-mesh-bvh';
import type { GuideMesh } from '../../core/guides/guide-body';

/** Meshes of more triangles are asked for the place under the pointer through a hierarchy. */
const MANY = 5000;

/** three's geometry of a guide. */
export function guideGeometry(mesh: GuideMesh): BufferGeometry {
  const built = new BufferGeometry();
  built.setAttribute('position', new BufferAttribute(mesh.positions, 3));
  built.setAttribute('normal', new BufferAttribute(mesh.normals, 3));
  built.setIndex(new BufferAttribute(mesh.indices, 1));
  if (mesh.indices.length > 3 * MANY) {
    built.setIndex(new BufferAttribute(mesh.indices.slice(), 1)); // the hierarchy sorts it
    built.boundsTree = new MeshBVH(built);
  }
  return built;
}
