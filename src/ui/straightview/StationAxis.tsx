import type { StationScale } from './Lane';

/** Stations along the top, with hairlines down through the lanes. */
export function StationAxis({ x, length, bottom }: { x: StationScale; length: number; bottom: number }) {
  const ticks = x.ticks(Math.max(2, Math.floor((x(length) - x(0)) / 68)));
  const digits = ticks.length > 1 && ticks[1] - ticks[0] < 1 ? (ticks[1] - ticks[0] < 0.1 ? 2 : 1) : 0;
  return (
    <g>
      {ticks.map((station) => (
        <g key={station} transform={`translate(${x(station)} 0)`}>
          <line y1={16} y2={bottom} stroke="var(--mui-palette-divider)" strokeOpacity={0.6} />
          <text y={9} textAnchor="middle" fontSize={11} fill="var(--mui-palette-text-secondary)">
            {station.toFixed(digits)} m
          </text>
        </g>
      ))}
    </g>
  );
}
