'use client';

import { useThree } from '@react-three/fiber';
import { useLayoutEffect, useMemo, useRef } from 'react';
import { Object3D, type DirectionalLight } from 'three';
import type { OrbitControls as Controls } from 'three-stdlib';
import { usePicture } from '../state/app-context';
import type { Place } from '../place/use-place';
import type { Sphere } from './scene-box';
import { shadowSphere } from './shadow-sphere';
import { Surroundings } from './Surroundings';
import { useGuardedFrame } from './use-guarded-frame';

/** Pixels of the shadows' image along a side. */
const MAP = 2048;

/** A sun with a soft shadow over what is seen, light from all around, and in the dark a rim of light from behind. */
export function Lights({ sphere, place }: { sphere: Sphere; place: Place }) {
  const { light, towards, isShown } = place;
  const isFine = usePicture((s) => s.isFine);
  const target = useMemo(() => new Object3D(), []);
  const rimTarget = useMemo(() => new Object3D(), []);
  const sun = useRef<DirectionalLight>(null);
  const { gl, invalidate } = useThree();
  const placed = useRef('');
  const put = (own: Sphere) => {
    const { centre, radius } = own;
    const all = Math.max(sphere.radius, 0.005);
    const key = [...centre, radius, all, ...towards].map((value) => value.toPrecision(6)).join();
    if (!sun.current || placed.current === key) return;
    placed.current = key;
    const away = all * 2 + radius;
    const { shadow, position } = sun.current;
    position.set(...(centre.map((c, i) => c + towards[i] * away) as [number, number, number]));
    target.position.set(...centre);
    target.updateMatrixWorld();
    const lens = shadow.camera;
    [lens.left, lens.right, lens.top, lens.bottom] = [-radius, radius, radius, -radius];
    [lens.near, lens.far] = [all * 0.02, away + radius + all * 2];
    lens.updateProjectionMatrix();
    shadow.normalBias = radius * 0.0007;
    gl.shadowMap.needsUpdate = true;
  };
  useLayoutEffect(() => {
    placed.current = '';
    invalidate();
  }, [sphere, towards, invalidate]);
  // Shadows are as fine as what is seen of the scene is small.
  useGuardedFrame(({ camera, controls, size }) => {
    if (!isShown || gl.shadowMap.autoUpdate || placed.current === '')
      put(shadowSphere(camera, (controls as Controls | null)?.target, size.width / size.height, sphere));
  });
  return (
    <>
      <directionalLight
        ref={sun}
        color={light.sun}
        intensity={light.sunStrength}
        target={target}
        castShadow={isFine}
        shadow-mapSize={[MAP, MAP]}
        shadow-bias={-0.0006}
        shadow-radius={isShown ? 4 : 3}
      />
      <primitive object={target} />
      {light.rim > 0 && (
        <directionalLight
          color={light.sun}
          intensity={light.rim}
          position={[-towards[0], 0.35, -towards[2]]}
          target={rimTarget}
        />
      )}
      <primitive object={rimTarget} />
      <Surroundings light={light} />
    </>
  );
}
