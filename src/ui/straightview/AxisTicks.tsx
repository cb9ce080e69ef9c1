import type { StationScale } from './Lane';

/** Pixels between two figures, at the least. */
const APART = 68;

export interface AxisTicksProps {
  readonly x: StationScale;
  /** Pixels that there are. */
  readonly width: number;
  readonly bottom: number;
  readonly unit: 'm' | 's';
}

/** Figures along the top, with hairlines down through the lanes. */
export function AxisTicks({ x, width, bottom, unit }: AxisTicksProps) {
  const ticks = x.ticks(Math.max(2, Math.floor(width / APART)));
  const step = ticks.length > 1 ? ticks[1] - ticks[0] : 1;
  const digits = step < 0.1 ? 2 : step < 1 ? 1 : 0;
  return ticks.map((at) => (
    <g key={at} transform={`translate(${x(at)} 0)`}>
      <line y1={16} y2={bottom} stroke="var(--mui-palette-divider)" strokeOpacity={0.6} />
      <text y={9} textAnchor="middle" fontSize={11} fill="var(--mui-palette-text-secondary)">
        {at.toFixed(digits)} {unit}
      </text>
    </g>
  ));
}
