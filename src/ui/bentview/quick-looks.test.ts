import {
  Group,
  Mesh,
  type BufferGeometry,
  type Material,
  MeshBasicMaterial,
  MeshLambertMaterial,
  MeshStandardMaterial,
} from 'three';
import { setQuickLook, withQuickLooks } from './quick-looks';

describe('quick looks', () => {
  const slow = new MeshStandardMaterial();
  const lit = new MeshStandardMaterial();
  const plain = new MeshStandardMaterial();
  setQuickLook(slow, '#ff0000', false);
  setQuickLook(lit, '#00ff00', true);
  const [a, b, c] = [
    new Mesh<BufferGeometry, Material>(undefined, slow),
    new Mesh<BufferGeometry, Material>(undefined, lit),
    new Mesh<BufferGeometry, Material>(undefined, plain),
  ];
  const d = new Mesh(undefined, [slow, plain]);
  const scene = new Group();
  scene.add(a, b, c, d);

  it('are worn while it is drawn, by all that have one, and only then', () => {
    const drawn = jest.fn(() => {
      expect(a.material).toBeInstanceOf(MeshBasicMaterial);
      expect(b.material).toBeInstanceOf(MeshLambertMaterial);
      expect(c.material).toBe(plain);
      expect(d.material).toEqual([slow, plain]); // of several materials none is taken away
    });
    withQuickLooks(scene, drawn);
    expect(drawn).toHaveBeenCalledTimes(1);
    expect([a.material, b.material, c.material]).toEqual([slow, lit, plain]);
  });

  it('are not worn by what is hidden', () => {
    a.visible = false;
    withQuickLooks(scene, () => expect(a.material).toBe(slow));
    a.visible = true;
  });
});
