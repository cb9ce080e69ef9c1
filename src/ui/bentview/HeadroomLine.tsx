'use client';

import { useMemo } from 'react';
import { CLEAR_HEADROOM } from '../../core/layout/step-figures';
import type { Vec3 } from '../../core/math/vec3';
import { useCourseView, useSession } from '../state/app-context';
import { ScenePolyline } from './ScenePolyline';
import type { Viewport } from './viewport';

/** While a flight of steps is laid: how high it is to be clear over their fronts. */
export function HeadroomLine({ viewport }: { viewport: Viewport }) {
  const isLaid = useSession((s) => s.step === 'laying');
  const fronts = useCourseView()?.layout.steps?.fronts;
  const places = useMemo(() => (fronts ?? []).map(([x, y, z]): Vec3 => [x, y + CLEAR_HEADROOM, z]), [fronts]);
  return isLaid ? <ScenePolyline viewport={viewport} places={places} isDashed /> : null;
}
