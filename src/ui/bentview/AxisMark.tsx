'use client';

import { useTheme } from '@mui/material/styles';
import { useEffect, useRef } from 'react';
import type { Viewport } from './viewport';

const SIZE = 58;
const ARM = 19;
const AXES = ['x', 'y', 'z'] as const;

/** Which way the scene's axes point as one looks now, lettered. */
export function AxisMark({ viewport }: { viewport: Viewport }) {
  const svg = useRef<SVGSVGElement>(null);
  const { tokens } = useTheme().vars!.palette;
  useEffect(
    () =>
      viewport.onFrame(() => {
        if (!svg.current) return;
        viewport.axesOnScreen().forEach(([x, y, toward], i) => {
          const group = svg.current!.children[i] as SVGGElement;
          const [line, text] = [...group.children];
          line.setAttribute('x2', String(x * ARM));
          line.setAttribute('y2', String(-y * ARM));
          text.setAttribute('x', String(x * (ARM + 6)));
          text.setAttribute('y', String(-y * (ARM + 6) + 3.5));
          group.setAttribute('opacity', toward < -0.2 ? '0.45' : '1');
        });
      }),
    [viewport],
  );
  return (
    <svg
      ref={svg}
      width={SIZE}
      height={SIZE}
      viewBox={`${-SIZE / 2} ${-SIZE / 2} ${SIZE} ${SIZE}`}
      role="img"
      aria-label="Axes: x, y up, z"
      style={{ position: 'absolute', right: 8, bottom: 6, pointerEvents: 'none' }}
    >
      {AXES.map((name) => (
        <g key={name}>
          <line stroke={tokens.ink} strokeWidth={1.5} strokeLinecap="round" />
          <text
            textAnchor="middle"
            fontSize={11}
            fill={tokens.ink}
            style={{ paintOrder: 'stroke', stroke: tokens.paper, strokeWidth: 2.5 }}
          >
            {name}
          </text>
        </g>
      ))}
    </svg>
  );
}
