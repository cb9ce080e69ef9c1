import { useEffect, useRef, type RefObject } from 'react';
import type { Vec3 } from '../../core/math/vec3';
import type { Viewport } from './viewport';

/** Keeps an element over a place of the scene, frame by frame and without rendering. */
export function useProjected<E extends HTMLElement>(viewport: Viewport, place: Vec3 | undefined): RefObject<E | null> {
  const ref = useRef<E>(null);
  useEffect(
    () =>
      viewport.onFrame(() => {
        const element = ref.current;
        if (!element) return;
        const p = place && viewport.toScreen(place);
        element.style.visibility = p?.isAhead ? 'visible' : 'hidden';
        if (p) element.style.transform = `translate(${p.x.toFixed(2)}px, ${p.y.toFixed(2)}px) translate(-50%, -50%)`;
      }),
    [viewport, place],
  );
  return ref;
}
