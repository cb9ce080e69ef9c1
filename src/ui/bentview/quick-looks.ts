import { MeshBasicMaterial, MeshLambertMaterial, type Material, type Mesh, type Object3D } from 'three';

/** Materials that take little time, by those in the place of which they are drawn while something moves on a slow machine. */
const QUICK = new WeakMap<Material, Material>();

/** A look for the meantime of an even surface: its colour alone, or with the light on it. */
export const quickLook = (colour: string, isLit: boolean): Material =>
  isLit ? new MeshLambertMaterial({ color: colour }) : new MeshBasicMaterial({ color: colour });

/** Says what is drawn in the place of a material. */
export function setQuickLook(material: Material, quick: Material): void {
  QUICK.set(material, quick);
}

/** Draws with the quick looks of all that has one. */
export function withQuickLooks(scene: Object3D, draw: () => void): void {
  const changed: [Mesh, Material][] = [];
  scene.traverseVisible((object) => {
    const { material } = object as Mesh;
    const quick = material && !Array.isArray(material) ? QUICK.get(material) : undefined;
    if (!quick) return;
    changed.push([object as Mesh, material as Material]);
    (object as Mesh).material = quick;
  });
  draw();
  for (const [mesh, material] of changed) mesh.material = material;
}
