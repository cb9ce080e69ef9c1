'use client';

import type { ScaleLinear } from 'd3-scale';
import { useState, type KeyboardEvent, type PointerEvent } from 'react';
import { setStiff } from '../../project/commands/stiff';
import type { Run } from '../../project/schema';
import { metres } from '../format';
import { useEdit, useGesture } from '../state/app-context';

export interface StiffBarsProps {
  readonly x: ScaleLinear<number, number>;
  readonly run: Run;
  readonly length: number;
  readonly top: number;
  readonly height: number;
}

type Grip = 'from' | 'to' | 'both';

/** The stretches that stay straight, to be moved and drawn longer. */
export function StiffBars({ x, run, length, top, height }: StiffBarsProps) {
  const edit = useEdit();
  const gesture = useGesture();
  const [pull, setPull] = useState<{ i: number; grip: Grip; clientX: number; from: number; to: number }>();
  const stiff = run.shape.stiff ?? [];
  const put = (i: number, from: number, to: number) => {
    const [low, high] = [Math.max(Math.min(from, to), 0), Math.min(Math.max(from, to), length)];
    const round = (at: number) => Number(at.toFixed(4));
    edit((project) => setStiff(project, run.id, stiff.with(i, { from: round(low), to: round(high) })));
  };
  const move = (event: PointerEvent<Element>) => {
    if (!pull) return;
    const { i, grip, clientX, from, to } = pull;
    const by = x.invert(event.clientX - clientX) - x.invert(0);
    const held = Math.min(Math.max(by, -from), length - to);
    if (grip === 'both') put(i, from + held, to + held);
    else put(i, grip === 'from' ? from + by : from, grip === 'to' ? to + by : to);
  };
  const end = () => {
    if (pull) gesture.end();
    setPull(undefined);
  };
  return stiff.map(({ from, to }, i) => {
    const hold = (grip: Grip) => ({
      style: { cursor: grip === 'both' ? 'move' : 'ew-resize', touchAction: 'none' } as const,
      onPointerDown: (event: PointerEvent<Element>) => {
        if (event.button !== 0) return;
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
        setPull({ i, grip, clientX: event.clientX, from, to });
        gesture.begin();
      },
      onPointerMove: move,
      onPointerUp: end,
    });
    const onKeyDown = (event: KeyboardEvent) => {
      const by = ({ ArrowRight: 1, ArrowLeft: -1 }[event.key] ?? 0) * (length / 200);
      if (by !== 0) put(i, from + by, to + by);
      else if (event.key === 'Delete' || event.key === 'Backspace')
        edit((project) => setStiff(project, run.id, stiff.toSpliced(i, 1)));
      else return;
      event.preventDefault();
      event.stopPropagation();
    };
    const [a, b] = [x(from), x(to)];
    return (
      <g key={i} transform={`translate(0 ${top + height - 8})`} fill="var(--mui-palette-text-primary)">
        <rect
          role="slider"
          tabIndex={0}
          aria-label={`Stiff from ${metres(from)} to ${metres(to)}`}
          aria-valuenow={from}
          x={a}
          width={Math.max(b - a, 2)}
          height={6}
          rx={2}
          fillOpacity={0.75}
          onKeyDown={onKeyDown}
          {...hold('both')}
        >
          <title>{`Stiff from ${metres(from)} to ${metres(to)}`}</title>
        </rect>
        <rect x={a - 4} width={8} y={-2} height={10} fillOpacity={0} {...hold('from')} />
        <rect x={b - 4} width={8} y={-2} height={10} fillOpacity={0} {...hold('to')} />
      </g>
    );
  });
}
