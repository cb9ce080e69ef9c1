import { useFrame, type RenderCallback } from '@react-three/fiber';
import { useCallback, useState } from 'react';

/** Lets what throws outside of React's own work (in a frame, after a time) come to the boundary around the scene. */
export function useGuarded(): (act: () => void) => void {
  const [trouble, setTrouble] = useState<{ readonly error: unknown }>();
  if (trouble) throw trouble.error;
  return useCallback((act) => {
    try {
      act();
    } catch (error) {
      setTrouble({ error });
    }
  }, []);
}

/** A frame's work; what throws would else throw again in every frame, and nobody would know. */
export function useGuardedFrame(work: RenderCallback, priority?: number): void {
  const guarded = useGuarded();
  useFrame((...given) => guarded(() => work(...given)), priority);
}
