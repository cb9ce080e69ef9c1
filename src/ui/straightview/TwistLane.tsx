import { scaleLinear, type ScaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { readAlong } from '../../core/shape/bend-along';
import type { Reach } from '../../core/shape/reach';
import type { PathView } from '../../engine/path-view';
import { degrees } from '../format';
import { looksAt } from './lane-values';

export interface TwistLaneProps {
  readonly x: ScaleLinear<number, number>;
  readonly path: PathView;
  readonly reach: Reach;
  readonly height: number;
}

/** How the run twists about its path, degrees a metre, beyond least twist; evenly where the line is level. */
export function TwistLane({ x, path, reach, height }: TwistLaneProps) {
  const { least, greatest, mean, deviation } = path.twist;
  const room = Math.max((greatest - least) * 0.1, Math.PI / 180);
  const y = scaleLinear([Math.min(least, 0) - room, Math.max(greatest, 0) + room], [height - 4, 4]);
  const looks = looksAt(x, reach);
  const d = line<number>(x, (station) => y(readAlong(path.stations, path.twists, station)))(looks) ?? '';
  const [left, right] = x.range() as [number, number];
  return (
    <g>
      <line x1={left} x2={right} y1={y(mean)} y2={y(mean)} stroke="var(--mui-palette-divider)" strokeDasharray="3 3" />
      <path d={d} fill="none" stroke="var(--mui-palette-tokens-sky)" strokeWidth={1.5} />
      <text x={right - 4} y={height - 3} textAnchor="end" fontSize={11} fill="var(--mui-palette-text-secondary)">
        {`${degrees(least)} to ${degrees(greatest)} a metre, off by ${degrees(deviation)}`}
      </text>
    </g>
  );
}
