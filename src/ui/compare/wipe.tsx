'use client';

import { useThree } from '@react-three/fiber';
import { createContext, useContext, useEffect, useMemo } from 'react';
import { Vector2, type Object3D, type WebGLRenderer } from 'three';

/** The part of the view's width in which something is drawn, from 0 to 1; undefined = all of it. */
export const WipeContext = createContext<readonly [from: number, to: number] | undefined>(undefined);

const SIZE = new Vector2();

/** What an object does before and after it is drawn, so that it is drawn in its part of the view only. */
export function useWipe(): Partial<
  Pick<Object3D, 'onBeforeRender' | 'onAfterRender' | 'castShadow' | 'receiveShadow'>
> {
  const wipe = useContext(WipeContext);
  const invalidate = useThree((s) => s.invalidate);
  useEffect(() => invalidate(), [wipe, invalidate]);
  return useMemo(() => {
    if (!wipe) return {};
    const [from, to] = wipe;
    return {
      // There is one shadow for both sides: that of the present state.
      ...(from === 0 && { castShadow: false, receiveShadow: false }),
      onBeforeRender: (gl: WebGLRenderer) => {
        const { x, y } = gl.getSize(SIZE);
        gl.setScissor(Math.round(from * x), 0, Math.round((to - from) * x), y);
        gl.setScissorTest(true);
      },
      onAfterRender: (gl: WebGLRenderer) => gl.setScissorTest(false),
    };
  }, [wipe]);
}
