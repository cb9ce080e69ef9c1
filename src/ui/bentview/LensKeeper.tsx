'use client';

import { useThree } from '@react-three/fiber';
import { useEffect } from 'react';
import { Vector3 } from 'three';
import type { OrbitControls as Controls } from 'three-stdlib';
import { useApp } from '../state/app-context';

/** Lets pictures be taken of what is drawn. */
export function LensKeeper() {
  const { lens } = useApp();
  const get = useThree((s) => s.get);
  useEffect(
    () =>
      lens.attach(() => {
        const { gl, scene, camera, controls } = get();
        return { gl, scene, camera, target: (controls as Controls | null)?.target ?? new Vector3() };
      }),
    [lens, get],
  );
  return null;
}
