'use client';

import { useMemo } from 'react';
import type { Vec3 } from '../../core/math/vec3';
import { useCourseView, useSession } from '../state/app-context';
import { placeAt } from './nearest-station';
import { ScenePolyline } from './ScenePolyline';
import type { Viewport } from './viewport';

/** Places along a piece at which its mark is drawn. */
const PLACES = 16;

/** The chosen piece, as a line along its part of the path. */
export function PieceMark({ viewport }: { viewport: Viewport }) {
  const piece = useSession((s) => s.piece);
  const view = useCourseView();
  const places = useMemo(() => {
    const own = view?.layout.placements.find((placement) => placement.piece === piece);
    if (!view || !own) return [];
    const at = (i: number): Vec3 => placeAt(view.path, own.station + (own.length * i) / PLACES);
    return Array.from({ length: PLACES + 1 }, (_, i) => at(i));
  }, [view, piece]);
  return <ScenePolyline viewport={viewport} places={places} width={6} />;
}
