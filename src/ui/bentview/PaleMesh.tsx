'use client';

import { useThree } from '@react-three/fiber';
import { useEffect, useMemo } from 'react';
import { BufferAttribute, BufferGeometry, DoubleSide } from 'three';
import { acceleratedRaycast, MeshBVH } from 'three-mesh-bvh';
import type { GuideMesh } from '../../core/guides/guide-body';

/** Meshes of more triangles are asked for the place under the pointer through a hierarchy. */
const MANY = 5000;

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
  const geometry = useMemo(() => {
    const built = new BufferGeometry();
    built.setAttribute('position', new BufferAttribute(mesh.positions, 3));
    built.setAttribute('normal', new BufferAttribute(mesh.normals, 3));
    built.setIndex(new BufferAttribute(mesh.indices, 1));
    if (mesh.indices.length > 3 * MANY) {
      built.setIndex(new BufferAttribute(mesh.indices.slice(), 1)); // the hierarchy sorts it
      built.boundsTree = new MeshBVH(built);
    }
    return built;
  }, [mesh]);
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
        opacity={isChosen ? 0.3 : 0.22}
        depthWrite={false}
        side={DoubleSide}
      />
    </mesh>
  );
}
