import { useThree } from '@react-three/fiber';
import { useEffect, useMemo } from 'react';
import type { MeshStandardMaterial } from 'three';
import type { CourseResult } from '../state/results-store';
import { buildMaterials, disposeMaterials } from './materials';

/** three's materials of a surface, thrown away with it. */
export function useMaterials(surface: CourseResult['surface'], hasColours: boolean): MeshStandardMaterial[] {
  const invalidate = useThree((s) => s.invalidate);
  const materials = useMemo(
    () => buildMaterials(surface.materials, surface.images, hasColours, invalidate),
    [surface, hasColours, invalidate],
  );
  useEffect(() => () => disposeMaterials(materials), [materials]);
  return materials;
}
