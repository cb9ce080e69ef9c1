'use client';

import type { ScaleLinear } from 'd3-scale';
import { useRef, type PointerEvent } from 'react';

export interface OverviewProps {
  /** From stations to pixels, of all of the path and of what is shown. */
  readonly whole: ScaleLinear<number, number>;
  readonly shown: ScaleLinear<number, number>;
  readonly onShow: (from: number, to: number) => void;
}

/** The whole length as a thin bar with the part that is shown, which can be dragged along. */
export function Overview({ whole, shown, onShow }: OverviewProps) {
  const grip = useRef<number>(undefined);
  const [left, right] = whole.range();
  const [from, to] = [left, right].map((pixels) => shown.invert(pixels)) as [number, number];
  const [length] = whole.domain().slice(-1);
  const at = (event: PointerEvent<SVGElement>) =>
    whole.invert(event.clientX - event.currentTarget.ownerSVGElement!.getBoundingClientRect().left);
  const move = (station: number) => {
    const start = Math.min(Math.max(station, 0), length - (to - from));
    onShow(start, start + to - from);
  };
  return (
    <g
      aria-label="All of the length"
      style={{ cursor: 'grab', touchAction: 'none' }}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        const place = at(event);
        const isInside = place >= from && place <= to;
        grip.current = isInside ? place - from : (to - from) / 2;
        move(place - grip.current);
      }}
      onPointerMove={(event) => grip.current !== undefined && move(at(event) - grip.current)}
      onPointerUp={() => (grip.current = undefined)}
    >
      <rect x={left} width={right - left} y={0} height={8} rx={3} fill="var(--mui-palette-divider)" />
      <rect
        x={whole(from)}
        width={Math.max(whole(to) - whole(from), 6)}
        y={0}
        height={8}
        rx={3}
        fill="var(--mui-palette-primary-main)"
        fillOpacity={0.6}
      />
    </g>
  );
}
