'use client';

import { useEffect, useMemo } from 'react';
import { MeshStandardMaterial, PlaneGeometry, Vector2 } from 'three';
import { setQuickLook } from '../bentview/quick-looks';
import type { Sphere } from '../bentview/scene-box';
import { AS_GROUND } from '../pictures/in-pictures';
import { mirrorOf } from './mirror';
import { GROUND_REACH } from './PlaceGround';
import { ripples, RIPPLES_COVER } from './ripples';
import type { Place } from './use-place';

/** Still water with small waves, through which the ground shows, and in which is seen what stands over it. */
export function Water({ place, level, sphere }: { place: Place; level: number; sphere: Sphere }) {
  const side = sphere.radius * GROUND_REACH * 2;
  const waves = useMemo(() => ripples(), []);
  const material = useMemo(
    () => new MeshStandardMaterial({ roughness: 0.3, metalness: 0, transparent: true, opacity: 0.84, depthWrite: false, normalMap: waves, normalScale: new Vector2(0.28, 0.28) }), // prettier-ignore
    [waves],
  );
  const plane = useMemo(() => new PlaneGeometry(side, side), [side]);
  const mirror = useMemo(() => mirrorOf(plane, material), [plane, material]);
  useEffect(() => () => plane.dispose(), [plane]);
  useEffect(() => () => mirror.dispose(), [mirror]); // its material with it
  useEffect(() => () => waves.dispose(), [waves]);
  const colour = place.isDark ? '#3d5a62' : '#5b7d80';
  useEffect(() => setQuickLook(material, colour, false), [material, colour]);
  const [x, , z] = sphere.centre;
  return (
    <primitive
      object={mirror}
      material-color={colour}
      material-roughness={place.isDark ? 0.55 : 0.3}
      material-normalMap-repeat={[side / RIPPLES_COVER, side / RIPPLES_COVER]}
      rotation-x={-Math.PI / 2}
      position={[x, level, z]}
      receiveShadow
      raycast={() => null}
      userData={AS_GROUND}
    />
  );
}
