'use client';

import { Lightformer } from '@react-three/drei';
import { createPortal, useThree } from '@react-three/fiber';
import { memo, useLayoutEffect, useState } from 'react';
import { Scene } from 'three';
import type { SkyLight } from '../place/sky-light';
import { SmallPmrem } from './small-pmrem';

/** A light from all around, of the sky's colours. It is not made again with every change of the scene. */
export const Surroundings = memo(function Surroundings({ light: { zenith, horizon, ambient } }: { light: SkyLight }) {
  const [room] = useState(() => new Scene());
  const { gl, scene, invalidate } = useThree();
  useLayoutEffect(() => {
    const generator = new SmallPmrem(gl);
    const light = generator.fromScene(room);
    generator.dispose();
    scene.environment = light.texture;
    invalidate();
    return () => {
      scene.environment = null;
      light.dispose();
    };
  }, [gl, scene, room, zenith, horizon, invalidate]);
  useLayoutEffect(() => {
    scene.environmentIntensity = ambient;
    invalidate();
  }, [scene, ambient, invalidate]);
  return createPortal(
    <>
      <color attach="background" args={[horizon]} />
      <Lightformer
        form="rect"
        intensity={2.2}
        color={zenith}
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
