import type { ReactNode } from 'react';

/** Letters of a name that have room. */
const MOST = 22;

/** One band of the straight view with its name at the left; children draw from y = 0 to the height. */
export function Lane({
  top,
  height,
  label,
  below,
  children,
}: {
  top: number;
  height: number;
  label: string;
  /** A second line under the name. */
  below?: string;
  children: ReactNode;
}) {
  return (
    <g transform={`translate(0 ${top})`}>
      {[label, ...(below ? [below] : [])].map((text, i, { length }) => (
        <text
          key={i}
          x={14}
          y={height / 2 + (i - (length - 1) / 2) * 14}
          dominantBaseline="central"
          fontSize={12 - i}
          fill="var(--mui-palette-text-secondary)"
        >
          {text.length > MOST ? `${text.slice(0, MOST - 1)}…` : text}
          <title>{text}</title>
        </text>
      ))}
      {children}
    </g>
  );
}

/** From station in metres to pixels. */
export interface StationScale {
  (station: number): number;
  ticks(count: number): number[];
}
