import { useThree } from '@react-three/fiber';
import { useEffect } from 'react';
import type { OrbitControls as Controls } from 'three-stdlib';
import { notches } from './notches';

/** A notch of a wheel brings the picture nearer by this factor. */
const NOTCH = 1.12;
/** The controls go by this factor at speed 1, whatever the step. */
const OWN_FACTOR = 0.95;
/** Lets the controls zoom by how far the wheel turned: they take every step for a whole notch of their own. */
export function useWheelSpeed(): void {
  const controls = useThree((s) => s.controls) as Controls | null;
  const element = useThree((s) => s.gl.domElement);
  useEffect(() => {
    if (!controls) return;
    const onWheel = (event: WheelEvent) => {
      controls.zoomSpeed = (notches(event) * Math.log(NOTCH)) / -Math.log(OWN_FACTOR);
    };
    const parent = element.parentElement ?? element;
    parent.addEventListener('wheel', onWheel, { capture: true, passive: true });
    return () => parent.removeEventListener('wheel', onWheel, { capture: true });
  }, [controls, element]);
}
