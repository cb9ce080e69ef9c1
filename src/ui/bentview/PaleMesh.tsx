'use client';

import { useThree } from '@react-three/fiber';
import { useEffect, useMemo } from 'react';
import { DoubleSide } from 'three';
import { acceleratedRaycast } from 'three-mesh-bvh';
import type { GuideMesh } from '../../core/guides/guide-body';
import { guideGeometry } from './guide-geometry';

export interface PaleMeshProps {
  readonly mesh: GuideMesh;
  /** What the pointer finds there. */
  readonly of: { readonly guide: string } | { readonly run: string };
  readonly colour: string;
  readonly isChosen?: boolean;
}

/** A body that is there to aim at, seen through; the chosen one stands out. */
export function PaleMesh({ mesh, of, colour, isChosen }: PaleMeshProps) {
  const invalidate = useThree((s) => s.invalidate);
  const geometry = useMemo(() => guideGeometry(mesh), [mesh]);
  useEffect(() => {
    invalidate();
    return () => geometry.dispose();
  }, [geometry, invalidate]);
  return (
    <mesh geometry={geometry} raycast={acceleratedRaycast} userData={of} receiveShadow renderOrder={5}>
      <meshStandardMaterial
        color={colour}
        roughness={0.9}
        transparent
        forceSinglePass
        opacity={isChosen ? 0.3 : 0.22}
        depthWrite={false}
        side={DoubleSide}
      />
    </mesh>
  );
}
