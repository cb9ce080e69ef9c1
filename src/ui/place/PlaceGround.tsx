'use client';

import { useMemo } from 'react';
import { PlaneGeometry } from 'three';
import type { PlainFinish } from '../../core/segment/finish/finish-spec';
import { AS_GROUND } from '../pictures/in-pictures';
import type { Sphere } from '../bentview/scene-box';
import { usePlainMaterial } from './use-plain-material';

/** How far the ground goes, in radii of the scene: by then mist hides its edge. */
export const GROUND_REACH = 16;

/** Ground that looks like something. */
export function PlaceGround({ finish, height, sphere }: { finish: PlainFinish; height: number; sphere: Sphere }) {
  const material = usePlainMaterial(finish, false);
  const side = sphere.radius * GROUND_REACH * 2;
  const [x, , z] = sphere.centre;
  const geometry = useMemo(() => {
    const plane = new PlaneGeometry(side, side);
    const uv = plane.getAttribute('uv'); // metres of the scene
    for (let i = 0; i < uv.count; i++) uv.setXY(i, x + (uv.getX(i) - 0.5) * side, z + (uv.getY(i) - 0.5) * side);
    return plane;
  }, [side, x, z]);
  return (
    <mesh
      geometry={geometry}
      material={material}
      rotation-x={-Math.PI / 2}
      position={[x, height, z]}
      receiveShadow
      raycast={() => null}
      userData={AS_GROUND}
    />
  );
}
