import { BoxGeometry, Group, InstancedMesh, Mesh, MeshBasicMaterial } from 'three';
import { shadowKey } from './shadow-key';

describe('what casts shadows', () => {
  const material = new MeshBasicMaterial();
  const [mesh, pieces] = [new Mesh(new BoxGeometry(), material), new InstancedMesh(new BoxGeometry(), material, 3)];
  mesh.castShadow = pieces.castShadow = true;
  const plain = new Mesh(new BoxGeometry(), material);
  const folder = new Group();
  folder.add(mesh, pieces, plain);
  const scene = new Group();
  scene.add(folder);

  it.each<[string, () => void]>([
    ['moves', () => void (mesh.position.x += 1)],
    ['lies in something that moves', () => void (folder.position.y += 0.5)],
    ['has another shape', () => void (mesh.geometry = new BoxGeometry(2, 2, 2))],
    ['has vertices elsewhere', () => void (mesh.geometry.attributes.position.needsUpdate = true)],
    ['has pieces elsewhere', () => void (pieces.instanceMatrix.needsUpdate = true)],
    ['has fewer pieces', () => void (pieces.count = 2)],
    ['is hidden', () => void (mesh.visible = false)],
    ['is shown again', () => void (mesh.visible = true)],
    ['is made of something else', () => void (mesh.material = new MeshBasicMaterial())],
    ['casts none any more', () => void (pieces.castShadow = false)],
  ])('is another when it %s', (_, change) => {
    const before = shadowKey(scene);
    expect(shadowKey(scene)).toBe(before);
    change();
    expect(shadowKey(scene)).not.toBe(before);
  });

  it('is the same when what casts none moves, or a colour changes', () => {
    const before = shadowKey(scene);
    plain.position.x += 3;
    material.color.set('red');
    expect(shadowKey(scene)).toBe(before);
  });
});
