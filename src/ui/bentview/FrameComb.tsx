'use client';

import { useEffect, useMemo } from 'react';
import { useThree } from '@react-three/fiber';
import { BufferAttribute, BufferGeometry } from 'three';
import { MOVES } from './PathLine';
import type { PathView } from '../../engine/path-view';

/** Teeth of the comb over the whole path. */
const MOST_TEETH = 240;

/** The frames along a path: a tooth from the path towards up, `size` metres long, and a short one towards the side. */
export function FrameComb({ path, size, colour }: { path: PathView; size: number; colour: string }) {
  const invalidate = useThree((s) => s.invalidate);
  const geometry = useMemo(() => {
    const { line, ups, sides, stations, length } = path;
    const teeth: number[] = [];
    for (let [i, due] = [0, 0]; i < stations.length; i++) {
      if (stations[i] < due) continue;
      due = Math.max(due + length / MOST_TEETH, stations[i]);
      for (const [directions, long] of [
        [ups, 1],
        [sides, 0.4],
      ] as const) {
        for (const far of [0, long * size])
          for (let c = 0; c < 3; c++) teeth.push(line[i * 3 + c] - line[c] + directions[i * 3 + c] * far);
      }
    }
    const built = new BufferGeometry();
    built.setAttribute('position', new BufferAttribute(Float32Array.from(teeth), 3));
    return built;
  }, [path, size]);
  useEffect(() => {
    invalidate();
    return () => geometry.dispose();
  }, [geometry, invalidate]);
  return (
    <lineSegments
      userData={MOVES}
      geometry={geometry}
      position={[path.line[0], path.line[1], path.line[2]]}
      renderOrder={11}
    >
      <lineBasicMaterial color={colour} depthTest={false} transparent opacity={0.8} toneMapped={false} />
    </lineSegments>
  );
}
