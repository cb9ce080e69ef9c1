import { useThree } from '@react-three/fiber';
import { useEffect } from 'react';
import type { OrbitControls as Controls } from 'three-stdlib';

/** A notch of a wheel brings the picture nearer by this factor. */
const NOTCH = 1.12;
/** What browsers report for a notch: pixels, lines or pages. */
const PER_NOTCH = [100, 3, 1];
/** A pinch on a trackpad comes as a wheel with Ctrl and small steps: so many pixels are as a notch. */
const PINCH = 10;
/** The controls go by this factor at speed 1, whatever the step. */
const OWN_FACTOR = 0.95;
/** Some wheels report several notches at once; more than this would throw the picture away. */
const MOST_NOTCHES = 4;

/** How many notches a turn of the wheel is, or a movement on a trackpad. */
export function notches({ deltaY, deltaMode, ctrlKey }: Pick<WheelEvent, 'deltaY' | 'deltaMode' | 'ctrlKey'>): number {
  const isPinch = ctrlKey && deltaMode === 0 && Math.abs(deltaY) < 50;
  return Math.min(Math.abs(deltaY) / (isPinch ? PINCH : PER_NOTCH[deltaMode]!), MOST_NOTCHES);
}

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
