'use client';

import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { Reach } from '../../core/shape/reach';
import { setReach } from '../../project/commands/runs';
import type { Run } from '../../project/schema';
import { metres } from '../format';
import { useEdit, useGesture } from '../state/app-context';
import type { StationScale } from './Lane';

interface InvertibleScale extends StationScale {
  invert(pixels: number): number;
}

/** The two ends of the reach, to drag or to move with the arrow keys. */
export function ReachHandles({
  x,
  run,
  length,
  reach,
  top,
  height,
}: {
  x: InvertibleScale;
  run: Run;
  length: number;
  reach: Reach;
  /** Of the lane in which they stand, pixels. */
  top: number;
  height: number;
}) {
  const edit = useEdit();
  const gesture = useGesture();
  const isDragging = useRef(false);
  const put = (end: 'from' | 'to', station: number) => {
    const near = length * 0.004;
    const at =
      end === 'from'
        ? station < near
          ? 0
          : Math.min(station, reach.to - near)
        : station > length - near
          ? length
          : Math.max(station, reach.from + near);
    edit((project) => setReach(project, run.id, end, at, length));
  };
  return (['from', 'to'] as const).map((end) => (
    <g
      key={end}
      role="slider"
      tabIndex={0}
      aria-label={end === 'from' ? 'Start of the reach' : 'End of the reach'}
      aria-valuemin={0}
      aria-valuemax={length}
      aria-valuenow={reach[end]}
      aria-valuetext={metres(reach[end])}
      transform={`translate(${x(reach[end])} ${top})`}
      style={{ cursor: 'ew-resize', touchAction: 'none' }}
      onPointerDown={(event: PointerEvent<SVGGElement>) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        isDragging.current = true;
        gesture.begin();
      }}
      onPointerMove={(event: PointerEvent<SVGGElement>) => {
        if (!isDragging.current) return;
        put(end, x.invert(event.clientX - event.currentTarget.ownerSVGElement!.getBoundingClientRect().left));
      }}
      onPointerUp={() => {
        isDragging.current = false;
        gesture.end();
      }}
      onKeyDown={(event: KeyboardEvent) => {
        const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
        const now = run.reach[end] ?? (end === 'from' ? 0 : length); // the newest, which may not be laid yet
        if (by !== 0) put(end, now + (by * length) / 100);
      }}
    >
      <rect x={-9} y={-2} width={18} height={height} fill="transparent" />
      <rect
        x={-2.5}
        y={0}
        width={5}
        height={height - 4}
        rx={2.5}
        fill="var(--mui-palette-background-paper)"
        stroke="var(--mui-palette-primary-main)"
        strokeWidth={1.75}
      />
    </g>
  ));
}
