import { Vector3, type OrthographicCamera, type PerspectiveCamera } from 'three';
import type { Vec3 } from '../../core/math/vec3';

/** Share of the free part of the picture that what is framed may fill. */
const FILL = 0.84;
/** Shares of the picture's height that are left to what floats over it. */
export interface Room {
  readonly above: number;
  readonly below: number;
}
const ALL: Room = { above: 0, below: 0 };

/**
 * Places a camera that looks along -direction so that all `places` are in the picture and in its middle; returns what it then
 * looks at. `direction` is a unit vector towards the camera.
 */
export function fitCamera(
  camera: PerspectiveCamera | OrthographicCamera,
  direction: Vector3,
  places: readonly Vec3[],
  aspect: number,
  { above, below } = ALL,
): Vector3 {
  const free = Math.max(1 - above - below, 0.2);
  const right = new Vector3().crossVectors(camera.up, direction).normalize();
  const up = new Vector3().crossVectors(direction, right);
  const points = places.map((p) => new Vector3(...p));
  const target = points.reduce((sum, p) => sum.add(p), new Vector3()).divideScalar(points.length);
  const isFlat = 'isOrthographicCamera' in camera;
  const tangent = isFlat ? 1 : Math.tan((camera.fov * Math.PI) / 360);
  let distance = 1;
  // The middle of the picture depends on the distance and the other way round: a few rounds settle both.
  for (let round = 0; round < 6; round++) {
    const local = points.map((p) => {
      const d = p.clone().sub(target);
      return { r: d.dot(right), u: d.dot(up), toward: d.dot(direction) };
    });
    distance = 1e-3;
    for (const { r, u, toward } of local) {
      const need = Math.max(Math.abs(r) / aspect, Math.abs(u) / free) / (tangent * FILL);
      distance = Math.max(distance, isFlat ? need : need + toward);
    }
    const depth = (toward: number) => (isFlat ? 1 : distance - toward);
    const across = local.map(({ r, toward }) => r / depth(toward));
    const high = local.map(({ u, toward }) => u / depth(toward));
    const shift = (values: number[]) => ((Math.min(...values) + Math.max(...values)) / 2) * (isFlat ? 1 : distance);
    target.addScaledVector(right, shift(across)).addScaledVector(up, shift(high));
  }
  target.addScaledVector(up, (above - below) * tangent * distance);
  if (isFlat) {
    const reach = Math.max(...points.map((p) => p.distanceTo(target)), 1e-3);
    camera.zoom = (camera.top - camera.bottom) / 2 / distance;
    camera.position.copy(target).addScaledVector(direction, reach * 4);
  } else camera.position.copy(target).addScaledVector(direction, distance);
  camera.lookAt(target);
  camera.updateProjectionMatrix();
  return target;
}
