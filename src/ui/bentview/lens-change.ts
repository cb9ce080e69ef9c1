import type { Vector3 } from 'three';
import { type OrthographicCamera, type PerspectiveCamera } from 'three';

export type Eye = PerspectiveCamera | OrthographicCamera;

/** Degrees from the bottom to the top of what is seen with perspective. */
export const FOV = 36;
const TANGENT = Math.tan((FOV * Math.PI) / 360);

/** From where to where one looks. */
export interface EyeSight {
  readonly eye: Vector3;
  readonly target: Vector3;
  /** What it was seen through. */
  readonly lens?: Eye;
}

/** How a camera looks; without perspective from as far away as would show as much with it. */
export function sightOf(lens: Eye, target: Vector3): EyeSight {
  const away = lens.position.clone().sub(target);
  if ('isOrthographicCamera' in lens) away.setLength((lens.top - lens.bottom) / 2 / lens.zoom / TANGENT);
  return { eye: target.clone().add(away), target: target.clone(), lens };
}

/** Lets a camera of either kind look like this; gives what it looks at. */
export function placeLens(lens: Eye, { eye, target }: EyeSight): Vector3 {
  const away = eye.clone().sub(target);
  lens.position.copy(eye);
  if ('isOrthographicCamera' in lens) {
    lens.zoom = (lens.top - lens.bottom) / 2 / (away.length() * TANGENT);
    lens.position.copy(target).add(away.multiplyScalar(4)); // nothing of what is seen lies behind it
  }
  lens.lookAt(target);
  lens.updateProjectionMatrix();
  return target.clone();
}
