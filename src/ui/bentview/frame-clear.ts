import { Raycaster, Vector3, type Camera, type Object3D } from 'three';
import type { Vec3 } from '../../core/math/vec3';

/** Share of what is framed that is seen from a side with which one is content: the usual one, or another one. */
const CONTENT = 0.6;
const CLEAR = 0.97;
/** Another side must show so much more. */
const BETTER = 0.05;
/** Radians from one side to the next, and how high one looks from when the usual height shows too little. */
const STEP = Math.PI / 6;
const LOW = 0.24;
/** So many places are looked for. */
const ASKED = 16;

/**
 * Frames something from the usual side, or, where scenery stands before most of the places that one wants to see of it, from the side that
 * shows the most. `frame` puts the camera on a side, a unit vector towards it, and gives what it then looks at.
 */
export function frameClear(
  camera: Camera,
  scene: Object3D,
  usual: Vector3,
  wanted: readonly Vec3[],
  frame: (side: Vector3) => Vector3,
): Vector3 {
  const solids: Object3D[] = [];
  scene.updateMatrixWorld();
  scene.traverseVisible((object) => {
    if (object.userData.isScenery) solids.push(object);
  });
  let best = { side: usual, seen: -1 };
  for (const side of sidesFrom(usual)) {
    const target = frame(side);
    const seen = seenShare(camera.position, wanted, solids);
    if (seen >= (side === usual ? CONTENT : CLEAR)) return target;
    if (seen > best.seen + BETTER) best = { side, seen };
  }
  return frame(best.side);
}

/** The usual side, then those beside it as high as that, the nearest first; then the same lower. */
function sidesFrom(usual: Vector3): readonly Vector3[] {
  const turns = [0, 1, -1, 2, -2, 3, -3, 4, -4, 5, -5, 6].map((k) => k * STEP);
  const low = new Vector3(usual.x, 0, usual.z).normalize().multiplyScalar(Math.cos(LOW)).setY(Math.sin(LOW));
  return [usual, low].flatMap((from) =>
    turns.map((turn) => (turn === 0 ? from : from.clone().applyAxisAngle(new Vector3(0, 1, 0), turn))),
  );
}

function seenShare(eye: Vector3, places: readonly Vec3[], solids: Object3D[]): number {
  if (solids.length === 0 || places.length === 0) return 1;
  const ray = new Raycaster();
  const stride = Math.max(places.length / ASKED, 1);
  let [seen, asked] = [0, 0];
  for (let i = stride / 2; i < places.length; i += stride, asked++) {
    const way = new Vector3(...places[Math.floor(i)]).sub(eye);
    ray.far = way.length() * 0.995; // what it lies on does not hide it
    ray.set(eye, way.normalize());
    if (ray.intersectObjects(solids, false).length === 0) seen++;
  }
  return seen / asked;
}
