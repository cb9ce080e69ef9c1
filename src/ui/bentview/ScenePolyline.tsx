'use client';

import { useEffect, useRef } from 'react';
import type { Vec3 } from '../../core/math/vec3';
import type { Viewport } from './viewport';

/** A line over the scene through places of it. */
export function ScenePolyline({
  viewport,
  places,
  isDashed = false,
  width = isDashed ? 1.5 : 2.5,
}: {
  viewport: Viewport;
  places: readonly Vec3[];
  isDashed?: boolean;
  /** Pixels. */
  width?: number;
}) {
  const ref = useRef<SVGPolylineElement>(null);
  useEffect(
    () =>
      viewport.onFrame(() => {
        const points = places.map((place) => viewport.toScreen(place)).filter(({ isAhead }) => isAhead);
        ref.current?.setAttribute('points', points.map(({ x, y }) => `${x.toFixed(1)},${y.toFixed(1)}`).join(' '));
      }),
    [viewport, places],
  );
  if (places.length < 2) return null;
  return (
    <svg aria-hidden style={{ position: 'absolute', inset: 0, width: '100%', height: '100%', pointerEvents: 'none' }}>
      <polyline
        ref={ref}
        fill="none"
        stroke="var(--mui-palette-primary-main)"
        strokeWidth={width}
        strokeDasharray={isDashed ? '6 4' : undefined}
        strokeLinecap="round"
        strokeLinejoin="round"
      />
    </svg>
  );
}
