import { useThree } from '@react-three/fiber';
import { useEffect, useMemo } from 'react';
import { MeshStandardMaterial } from 'three';
import type { PlainFinish } from '../../core/segment/finish/finish-spec';
import { buildMaterials, disposeMaterials } from '../bentview/materials';
import { setQuickLook } from '../bentview/quick-looks';
import { usePlainSurface } from './use-plain-surface';
import { withVariety } from './with-variety';

/** The material of a finish: its colour at once, its texture as soon as that is there. */
export function usePlainMaterial(finish: PlainFinish, isPlain: boolean): MeshStandardMaterial {
  const invalidate = useThree((s) => s.invalidate);
  const { colour, roughness, metalness } = finish;
  const surface = usePlainSurface(finish);
  const material = useMemo(() => {
    const made =
      isPlain || !surface
        ? new MeshStandardMaterial({ color: colour, roughness, metalness })
        : withVariety(buildMaterials(surface.materials, surface.images, false, invalidate)[0]);
    setQuickLook(made, colour, true);
    return made;
  }, [surface, isPlain, colour, roughness, metalness, invalidate]);
  useEffect(() => () => disposeMaterials([material]), [material]);
  return material;
}
