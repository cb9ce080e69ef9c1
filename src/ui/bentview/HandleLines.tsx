'use client';

import { useEffect, useRef } from 'react';
import type { Vec3 } from '../../core/math/vec3';
import type { Viewport } from './viewport';

/** Thin lines over the scene from one place to others: handles, or what the pen is about to draw. */
export function HandleLines({
  viewport,
  from,
  to,
  isDashed,
}: {
  viewport: Viewport;
  from: Vec3;
  to: readonly Vec3[];
  isDashed?: boolean;
}) {
  const ref = useRef<SVGSVGElement>(null);
  useEffect(
    () =>
      viewport.onFrame(() => {
        const start = viewport.toScreen(from);
        to.forEach((place, i) => {
          const end = viewport.toScreen(place);
          const line = ref.current?.children[i];
          line?.setAttribute('x1', String(start.x));
          line?.setAttribute('y1', String(start.y));
          line?.setAttribute('x2', String(end.x));
          line?.setAttribute('y2', String(end.y));
          line?.setAttribute('visibility', start.isAhead && end.isAhead ? 'visible' : 'hidden');
        });
      }),
    [viewport, from, to],
  );
  return (
    <svg
      ref={ref}
      aria-hidden
      style={{ position: 'absolute', inset: 0, width: '100%', height: '100%', pointerEvents: 'none' }}
    >
      {to.map((_, i) => (
        <line
          key={i}
          stroke="var(--mui-palette-primary-main)"
          strokeWidth={1.25}
          strokeDasharray={isDashed ? '5 4' : undefined}
        />
      ))}
    </svg>
  );
}
