'use client';

import { useThree } from '@react-three/fiber';
import { useEffect, useLayoutEffect, useMemo } from 'react';
import type { BufferGeometry } from 'three';
import { Box3, BufferAttribute, Sphere, Vector3 } from 'three';
import type { Vec3 } from '../../core/math/vec3';
import type { Box } from '../../core/mesh/box';
import type { CourseResult } from '../state/results-store';
import { useLineDrawing } from './line-drawing';
import { topologyGeometry } from './topology-geometry';
import { useMaterials } from './use-materials';

/** What of a mesh is drawn. */
export interface Surface extends Pick<CourseResult, 'topology' | 'surface'> {
  readonly positions: Float32Array;
  readonly normals: Float32Array;
  readonly box: Box;
  /** Where it lies in the scene; absent = at its origin. */
  readonly origin?: Vec3;
}

const NOWHERE_ELSE: Vec3 = [0, 0, 0];

/** A mesh. While only its vertices move, the same buffers are filled again. */
export function SurfaceMesh({ run, positions, normals, box, origin, topology, surface }: Surface & { run: string }) {
  const invalidate = useThree((s) => s.invalidate);
  const geometry = useMemo(() => topologyGeometry(topology), [topology]);
  useEffect(() => () => geometry.dispose(), [geometry]);

  useLayoutEffect(() => {
    fill(geometry, 'position', positions);
    fill(geometry, 'normal', normals);
    const { min, max } = box;
    geometry.boundingBox = new Box3(new Vector3(...min), new Vector3(...max));
    geometry.boundingSphere = geometry.boundingBox.getBoundingSphere(new Sphere());
    invalidate();
  }, [geometry, positions, normals, box, invalidate]);

  const materials = useMaterials(surface, topology.colours !== undefined);
  const lines = useLineDrawing({ positions, indices: topology.indices });
  useLayoutEffect(() => {
    lines?.edges.setAttribute('position', geometry.getAttribute('position'));
    invalidate();
  }, [lines, geometry, positions, invalidate]);

  if (positions.length === 0) return null;
  return (
    <>
      <mesh
        geometry={geometry}
        material={lines?.clay ?? materials}
        position={origin ?? NOWHERE_ELSE}
        userData={{ run }}
        castShadow
        receiveShadow
        dispose={null}
      />
      {lines && (
        <mesh
          geometry={lines.edges}
          material={lines.wire}
          position={origin ?? NOWHERE_ELSE}
          frustumCulled={false}
          raycast={() => null}
          dispose={null}
        />
      )}
    </>
  );
}

function fill(geometry: BufferGeometry, name: 'position' | 'normal', values: Float32Array): void {
  const attribute = geometry.getAttribute(name) as BufferAttribute | undefined;
  if (attribute && attribute.array.length === values.length) {
    attribute.array = values;
    attribute.needsUpdate = true;
  } else geometry.setAttribute(name, new BufferAttribute(values, 3));
}
