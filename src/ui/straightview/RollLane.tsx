import type { Reach } from '../../core/shape/reach';
import type { Run } from '../../project/schema';
import { degrees } from '../format';
import type { StationScale } from './Lane';

/** Roll from the start of the reach to its end. */
export function RollLane({ x, shape: { roll, turns }, reach }: { x: StationScale; shape: Run['shape']; reach: Reach }) {
  const end = roll + 2 * Math.PI * turns;
  const most = Math.max(Math.abs(roll), Math.abs(end), Math.PI / 18);
  const y = (angle: number) => 13 - (angle / most) * 9;
  const labelAt = (line: number) => (line < 12 ? line + 13 : line - 4); // inside the lane
  return (
    <g>
      <line x1={x(reach.from)} x2={x(reach.to)} y1={13} y2={13} stroke="var(--mui-palette-divider)" />
      <line
        x1={x(reach.from)}
        x2={x(reach.to)}
        y1={y(roll)}
        y2={y(end)}
        stroke="var(--mui-palette-tokens-sky)"
        strokeWidth={1.5}
      />
      <text x={x(reach.from) + 4} y={labelAt(y(roll))} fontSize={11} fill="var(--mui-palette-text-secondary)">
        {degrees(roll)}
      </text>
      <text
        x={x(reach.to) - 4}
        y={labelAt(y(end))}
        textAnchor="end"
        fontSize={11}
        fill="var(--mui-palette-text-secondary)"
      >
        {degrees(end)}
      </text>
    </g>
  );
}
