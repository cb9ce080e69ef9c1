'use client';

import { metres } from '../format';
import { useSession } from '../state/app-context';
import type { StationScale } from './Lane';

/** The station under the pointer, in this view or the bent one. */
export function StationCursor({ x, length, bottom }: { x: StationScale; length: number; bottom: number }) {
  const station = useSession((s) => s.station);
  const isFinding = useSession((s) => s.finding !== undefined);
  if (station === undefined || station < 0 || station > length) return null;
  const colour = isFinding ? 'var(--mui-palette-error-main)' : 'var(--mui-palette-text-primary)';
  const label = Math.min(Math.max(x(station), x(0) + 28), x(length) - 28);
  return (
    <g pointerEvents="none">
      <line x1={x(station)} x2={x(station)} y1={14} y2={bottom} stroke={colour} />
      <rect x={label - 30} y={bottom - 2} width={60} height={16} rx={5} fill={colour} />
      <text
        x={label}
        y={bottom + 6}
        textAnchor="middle"
        dominantBaseline="central"
        fontSize={11}
        fill="var(--mui-palette-background-paper)"
      >
        {metres(station)}
      </text>
    </g>
  );
}
