import type { ReactNode } from 'react';

/** One band of the straight view with its name at the left; children draw from y = 0 to the height. */
export function Lane({
  top,
  height,
  label,
  children,
}: {
  top: number;
  height: number;
  label: string;
  children: ReactNode;
}) {
  return (
    <g transform={`translate(0 ${top})`}>
      <text x={14} y={height / 2} dominantBaseline="central" fontSize={12} fill="var(--mui-palette-text-secondary)">
        {label}
      </text>
      {children}
    </g>
  );
}

/** From station in metres to pixels. */
export interface StationScale {
  (station: number): number;
  ticks(count: number): number[];
}
