'use client';

import { useThree } from '@react-three/fiber';
import { useEffect } from 'react';
import { useSet } from '../state/app-context';

/** Milliseconds after which graphics that do not come back by themselves are asked for anew. */
const COMES_BACK_WITHIN = 4000;

/** Tells when the graphics of the view are lost. `onAnew`: the view is to be made anew, for what was drawn once is gone as well. */
export function ContextGuard({ onAnew }: { onAnew: () => void }) {
  const gl = useThree((s) => s.gl);
  const set = useSet();
  useEffect(() => {
    const canvas = gl.domElement;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const lost = (event: Event) => {
      event.preventDefault(); // else the browser does not give it back
      set({ isViewLost: true });
      timer = setTimeout(onAnew, COMES_BACK_WITHIN);
    };
    canvas.addEventListener('webglcontextlost', lost);
    canvas.addEventListener('webglcontextrestored', onAnew);
    return () => {
      clearTimeout(timer);
      canvas.removeEventListener('webglcontextlost', lost);
      canvas.removeEventListener('webglcontextrestored', onAnew);
      set({ isViewLost: false });
    };
  }, [gl, onAnew, set]);
  return null;
}
