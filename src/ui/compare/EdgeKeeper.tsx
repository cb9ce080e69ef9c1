import { useThree } from '@react-three/fiber';
import { useEffect } from 'react';
import { setEdge } from './sides';

/** Tells the scene where the edge between A and B lies; undefined = nowhere. */
export function EdgeKeeper({ edge }: { edge: number | undefined }) {
  const { scene, invalidate } = useThree();
  useEffect(() => {
    setEdge(scene, edge);
    invalidate();
  }, [scene, edge, invalidate]);
  return null;
}
