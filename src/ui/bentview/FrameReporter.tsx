'use client';

import { useThree } from '@react-three/fiber';
import { useEffect } from 'react';
import type { Viewport } from './viewport';
import { useGuardedFrame } from './use-guarded-frame';

/** Tells the viewport of the camera and of every frame. Priority 0: any other would switch drawing itself off. */
export function FrameReporter({ viewport }: { viewport: Viewport }) {
  const { camera, scene, size, invalidate } = useThree();
  useEffect(() => {
    viewport.attach(camera, scene, size.width, size.height, invalidate);
    invalidate();
  }, [viewport, camera, scene, size, invalidate]);
  useGuardedFrame((state) => {
    state.camera.updateMatrixWorld();
    viewport.attach(state.camera, state.scene, state.size.width, state.size.height, state.invalidate);
    viewport.frameDrawn();
  });
  return null;
}
