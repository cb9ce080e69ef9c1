import { Vector3, type Camera, type OrthographicCamera, type PerspectiveCamera } from 'three';
import type { Sphere } from './scene-box';

/** Of the size of what is seen about the place that the camera turns round. */
const BEYOND = 1.7;
/** Shadows do not get finer with every step nearer, or they would never rest. */
const STEP = Math.SQRT2;

/** What shadows have to fall on: all of the scene, or about as much of it as the camera sees; it moves in whole steps. */
export function shadowSphere(camera: Camera, target: Vector3 | undefined, aspect: number, scene: Sphere): Sphere {
  if (!target) return scene;
  const lens = camera as PerspectiveCamera | OrthographicCamera;
  const high =
    'isPerspectiveCamera' in lens
      ? lens.position.distanceTo(target) * Math.tan((lens.fov * Math.PI) / 360)
      : (lens.top - lens.bottom) / 2 / lens.zoom;
  const wanted = STEP ** Math.ceil(Math.log(high * Math.max(aspect, 1) * BEYOND) / Math.log(STEP));
  const middle = new Vector3(...scene.centre);
  if (wanted >= scene.radius) return { ...scene, radius: scene.radius * 1.08 };
  // As near the target as there is something of the scene.
  const centre = target.clone().sub(middle).clampLength(0, scene.radius).add(middle);
  const grid = wanted / 8;
  return {
    centre: [centre.x, centre.y, centre.z].map((c) => Math.round(c / grid) * grid) as [number, number, number],
    radius: wanted,
  };
}
