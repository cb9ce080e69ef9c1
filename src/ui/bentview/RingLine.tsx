'use client';

import { useEffect, useRef, type PointerEvent } from 'react';
import type { Vec3 } from '../../core/math/vec3';
import type { Viewport } from './viewport';

export interface RingLineProps {
  readonly viewport: Viewport;
  readonly places: readonly Vec3[];
  readonly label: string;
  readonly onPointerDown: (event: PointerEvent<Element>) => void;
  readonly onPointerMove: (event: PointerEvent<Element>) => void;
  readonly onPointerUp: () => void;
  readonly onPointerCancel: () => void;
}

/** A closed line over the scene that can be taken hold of. */
export function RingLine({ viewport, places, label, ...handlers }: RingLineProps) {
  const ref = useRef<SVGGElement>(null);
  useEffect(
    () =>
      viewport.onFrame(() => {
        const points = places
          .map((place) => viewport.toScreen(place))
          .filter(({ isAhead }) => isAhead)
          .map(({ x, y }) => `${x.toFixed(1)},${y.toFixed(1)}`)
          .join(' ');
        for (const line of ref.current?.children ?? []) line.setAttribute('points', points);
      }),
    [viewport, places],
  );
  return (
    <svg style={{ position: 'absolute', inset: 0, width: '100%', height: '100%', pointerEvents: 'none' }}>
      <g ref={ref} fill="none" role="img" aria-label={label}>
        <polyline stroke="var(--mui-palette-background-paper)" strokeWidth={4.5} />
        <polyline stroke="var(--mui-palette-tokens-sky)" strokeWidth={2.25} />
        <polyline
          stroke="transparent"
          strokeWidth={14}
          style={{ pointerEvents: 'stroke', cursor: 'grab', touchAction: 'none' }}
          {...handlers}
        />
      </g>
    </svg>
  );
}
