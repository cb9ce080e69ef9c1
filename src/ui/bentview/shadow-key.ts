import type { BufferAttribute, InstancedMesh, Mesh, Object3D } from 'three';

/** Says what casts shadows, and how it lies: while it stays the same, so do the shadows. */
export function shadowKey(scene: Object3D): string {
  const casts: string[] = [];
  scene.updateMatrixWorld();
  scene.traverseVisible((object) => {
    if (!object.castShadow || !('isMesh' in object)) return;
    const { geometry, material, matrixWorld } = object as Mesh;
    const { instanceMatrix, count } = object as InstancedMesh;
    const { position } = geometry.attributes;
    casts.push(
      `${geometry.id} ${(position as BufferAttribute).version} ${[material].flat().map(({ id }) => id)} ${instanceMatrix?.version} ${count} ${matrixWorld.elements.join()}`,
    );
  });
  return casts.join('\n');
}
