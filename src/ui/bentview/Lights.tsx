'use client';

import { Environment, Lightformer } from '@react-three/drei';
import { memo, useMemo } from 'react';
import { Object3D } from 'three';
import type { Sphere } from './scene-box';

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

/** Made once: a component of its own without props, so that it is not made again with every change of the scene. */
const Surroundings = memo(function Surroundings() {
  return (
    <Environment resolution={64} frames={1} environmentIntensity={0.62}>
      <color attach="background" args={['#d9dcdd']} />
      <Lightformer
        form="rect"
        intensity={2.2}
        color="#ffffff"
        position={[0, 8, 0]}
        scale={[14, 14, 1]}
        rotation-x={Math.PI / 2}
      />
      <Lightformer
        form="rect"
        intensity={0.7}
        color="#ffe9cf"
        position={[9, 3, 5]}
        scale={[8, 6, 1]}
        target={[0, 0, 0]}
      />
      <Lightformer
        form="rect"
        intensity={0.45}
        color="#b9a98c"
        position={[0, -6, 0]}
        scale={[20, 20, 1]}
        rotation-x={-Math.PI / 2}
      />
    </Environment>
  );
});
