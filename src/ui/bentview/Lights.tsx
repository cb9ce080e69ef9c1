'use client';

import { useMemo } from 'react';
import { Object3D } from 'three';
import type { Sphere } from './scene-box';
import { Surroundings } from './Surroundings';

/** One warm sun with a soft shadow over the whole scene, and a neutral surrounding light made here. */
export function Lights({ centre, radius }: Sphere) {
  const target = useMemo(() => new Object3D(), []);
  const r = Math.max(radius, 0.005);
  const [x, y, z] = centre;
  return (
    <>
      <directionalLight
        key={Math.round(Math.log2(r) * 2)}
        color="#fff1dc"
        intensity={2.6}
        position={[x + r * 0.9, y + r * 1.5, z + r * 0.55]}
        target={target}
        castShadow
        shadow-mapSize={[2048, 2048]}
        shadow-normalBias={r * 0.0006}
        shadow-bias={-0.0008}
        shadow-radius={3}
        shadow-camera-left={-r * 1.08}
        shadow-camera-right={r * 1.08}
        shadow-camera-top={r * 1.08}
        shadow-camera-bottom={-r * 1.08}
        shadow-camera-near={r * 0.05}
        shadow-camera-far={r * 4}
      />
      <primitive object={target} position={centre} />
      <Surroundings />
    </>
  );
}
