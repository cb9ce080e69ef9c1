'use client';

import { useEffect, useMemo } from 'react';
import { BufferAttribute } from 'three';
import { acceleratedRaycast } from 'three-mesh-bvh';
import { projectedUvs } from '../../core/mesh/projected-uvs';
import type { PlainFinish } from '../../core/segment/finish/finish-spec';
import { guideGeometry } from '../bentview/guide-geometry';
import type { PaleMeshProps } from '../bentview/PaleMesh';
import { usePicture } from '../state/app-context';
import { usePlainMaterial } from './use-plain-material';

/** A guide that looks like something; the chosen one stands out. */
export function SolidGuide({ mesh, of, colour, isChosen = false, finish }: PaleMeshProps & { finish: PlainFinish }) {
  const picture = usePicture((s) => s.picture);
  const material = usePlainMaterial(finish, picture !== 'show');
  const geometry = useMemo(() => {
    const built = guideGeometry(mesh);
    built.setAttribute('uv', new BufferAttribute(projectedUvs(mesh.positions, mesh.normals), 2));
    return built;
  }, [mesh]);
  useEffect(() => () => geometry.dispose(), [geometry]);
  return (
    <mesh
      geometry={geometry}
      material={material}
      material-emissive={isChosen ? colour : '#000000'}
      material-emissiveIntensity={0.25}
      raycast={acceleratedRaycast}
      userData={{ ...of, isScenery: true }}
      castShadow
      receiveShadow
    />
  );
}
