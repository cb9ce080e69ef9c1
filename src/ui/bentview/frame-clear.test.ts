import { BoxGeometry, Group, Mesh, MeshBasicMaterial, PerspectiveCamera, Vector3 } from 'three';
import type { Vec3 } from '../../core/math/vec3';
import { fitCamera } from './fit-camera';
import { frameClear } from './frame-clear';

const USUAL = new Vector3(0.36, 0.56, 0.86).normalize();
const ROPE: readonly Vec3[] = Array.from({ length: 40 }, (_, i) => [0, 1 + i / 40, 0]);

/** A solid box by its least and greatest corner. */
function solid(min: Vec3, max: Vec3, isScenery = true): Mesh {
  const [w, h, d] = min.map((c, k) => max[k] - c);
  const mesh = new Mesh(new BoxGeometry(w, h, d), new MeshBasicMaterial());
  mesh.position.set((min[0] + max[0]) / 2, (min[1] + max[1]) / 2, (min[2] + max[2]) / 2);
  mesh.userData = { isScenery };
  mesh.updateMatrixWorld();
  return mesh;
}

function framed(...solids: readonly Mesh[]) {
  const camera = new PerspectiveCamera(36, 1.8, 0.01, 1e4);
  const scene = new Group();
  if (solids.length > 0) scene.add(...solids);
  let tried = 0;
  const target = frameClear(camera, scene, USUAL, ROPE, (side) => {
    tried++;
    return fitCamera(camera, side, ROPE, 1.8);
  });
  return { camera, target, side: camera.position.clone().sub(target).normalize(), tried: () => tried };
}

describe('framing with a clear sight', () => {
  it('is from the usual side where nothing stands before it, and where what does is seen through', () => {
    for (const { side, tried } of [
      framed(),
      framed(solid([-4, 0, 1], [4, 9, 2], false)),
      framed(solid([-9, -1, -9], [9, 0, 9])),
    ]) {
      // prettier-ignore
      expect(side.distanceTo(USUAL)).toBeLessThan(1e-6);
      expect(tried()).toBe(1);
    }
  });

  it('is from a side beside it where a wall stands there, as near to the usual one as shows all', () => {
    const { side, camera, target } = framed(solid([-1.2, 0, 0.4], [1.2, 9, 0.5]));
    expect(side.distanceTo(USUAL)).toBeGreaterThan(0.1);
    expect(side.y).toBeCloseTo(USUAL.y, 6); // no lower than it must be
    expect(side.z).toBeLessThan(USUAL.z);
    expect(target.distanceTo(new Vector3(0, 1.5, 0))).toBeLessThan(0.3); // it is in the middle all the same
    expect(camera.position.distanceTo(target)).toBeGreaterThan(1);
  });

  it('is from below a roof, through the open side of a hut', () => {
    const hut = [
      solid([-1, 2.2, -1], [1, 2.3, 1]),
      solid([-1, 0, -1], [1, 2.2, -0.9]),
      solid([-1, 0, -1], [-0.9, 2.2, 1]),
      solid([-1, 0, 0.9], [1, 2.2, 1]),
    ];
    const { side } = framed(...hut); // open at +x
    expect(side.x).toBeGreaterThan(0.7);
    expect(side.y).toBeLessThan(0.3);
  });

  it('from nowhere clear is the usual one, not the last that was tried', () => {
    const wall = (axis: 0 | 1 | 2, at: number) => {
      const [min, max] = [[-0.6, -1, -0.6], [0.6, 2.3, 0.6]] as [number[], number[]]; // prettier-ignore
      [min[axis], max[axis]] = [at, at + 0.05];
      return solid(min as unknown as Vec3, max as unknown as Vec3);
    };
    const { side } = framed(wall(0, -0.5), wall(0, 0.5), wall(2, -0.5), wall(2, 0.5), wall(1, 2.2));
    expect(side.distanceTo(USUAL)).toBeLessThan(1e-6);
  });
});
