'use client';

import { Lightformer } from '@react-three/drei';
import { createPortal, useThree } from '@react-three/fiber';
import { memo, useLayoutEffect, useState } from 'react';
import { Scene } from 'three';
import { SmallPmrem } from './small-pmrem';

/** How bright the surrounding light is. */
const INTENSITY = 0.62;

/** A neutral light from all around. Made once: without props it is not made again with every change of the scene. */
export const Surroundings = memo(function Surroundings() {
  const [room] = useState(() => new Scene());
  const { gl, scene, invalidate } = useThree();
  useLayoutEffect(() => {
    const generator = new SmallPmrem(gl);
    const light = generator.fromScene(room);
    generator.dispose();
    scene.environment = light.texture;
    scene.environmentIntensity = INTENSITY;
    invalidate();
    return () => {
      scene.environment = null;
      light.dispose();
    };
  }, [gl, scene, room, invalidate]);
  return createPortal(
    <>
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
    </>,
    room,
  );
});
