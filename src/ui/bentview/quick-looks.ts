import { MeshBasicMaterial, MeshLambertMaterial, type Material, type Mesh, type Object3D } from 'three';

/** Gives a material another one that takes little time, for while something moves on a slow machine: its colour alone, or with the light on it. */
export function setQuickLook(material: Material, colour: string, isLit: boolean): void {
  material.userData.quick = isLit
    ? new MeshLambertMaterial({ color: colour })
    : new MeshBasicMaterial({ color: colour });
}

/** Draws with the quick looks of all that has one. */
export function withQuickLooks(scene: Object3D, draw: () => void): void {
  const changed: [Mesh, Material][] = [];
  scene.traverseVisible((object) => {
    const { material } = object as Mesh;
    if (!material || Array.isArray(material) || !material.userData.quick) return;
    changed.push([object as Mesh, material]);
    (object as Mesh).material = material.userData.quick as Material;
  });
  draw();
  for (const [mesh, material] of changed) mesh.material = material;
}
