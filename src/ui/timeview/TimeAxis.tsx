'use client';

import type { ScaleLinear } from 'd3-scale';
import { AxisTicks } from '../straightview/AxisTicks';
import { playedOf, type TimeSpec } from '../../core/motion/time-spec';

/** Seconds along the top, with hairlines down through the lanes; what is not played is shaded, and markers have their names. */
export function TimeAxis({ x, time, bottom }: { x: ScaleLinear<number, number>; time: TimeSpec; bottom: number }) {
  const [left, right] = x.range();
  const { from, to } = playedOf(time);
  const soft = { fontSize: 11, fill: 'var(--mui-palette-text-secondary)' } as const;
  return (
    <g>
      <AxisTicks x={x} width={right - left} bottom={bottom} unit="s" />
      {[
        [left, x(from)],
        [x(to), right],
      ].map(
        ([a, b], i) =>
          b > a && <rect key={i} x={a} width={b - a} y={16} height={bottom - 16} fill="var(--mui-palette-divider)" fillOpacity={0.4} />, // prettier-ignore
      )}
      {time.markers.map(({ at, name }, i) => (
        <g key={i} transform={`translate(${x(at)} 0)`}>
          <line y1={14} y2={bottom} stroke="var(--mui-palette-tokens-cane)" strokeDasharray="2 3" />
          <text x={3} y={bottom - 3} {...soft}>
            {name}
          </text>
        </g>
      ))}
    </g>
  );
}
