import type { ScaleLinear } from 'd3-scale';
import type { Layout } from '../../core/layout/layout';
import type { Run } from '../../project/schema';
import { metres } from '../format';

export interface PastEndProps {
  readonly x: ScaleLinear<number, number>;
  readonly run: Run;
  readonly isClosed: boolean;
  readonly layout: Layout;
  readonly top: number;
  readonly height: number;
}

/** Less than this share of the reach is nothing. */
const LEAST = 1e-6;

/** What becomes of pieces beyond the end of the reach, where it does. */
export function PastEnd({ x, run, isClosed, layout: { placements, reach }, top, height }: PastEndProps) {
  const last = placements[placements.length - 1];
  if (!last) return null;
  const end = last.station + last.factor * last.natural;
  const over = end - reach.to;
  if (over < (reach.to - reach.from) * LEAST) return null;
  const { pastEnd } = run.bending;
  const words = { straightOn: isClosed ? 'wraps round' : 'straight on', trim: 'trimmed', hold: 'held' }[pastEnd];
  const at = x(reach.to);
  return (
    <g transform={`translate(${at} ${top})`} pointerEvents="none">
      {pastEnd === 'straightOn' && (
        <rect
          width={Math.max(x(end) - at, 2)}
          y={3}
          height={height - 8}
          fill="none"
          stroke="var(--mui-palette-tokens-cane)"
          strokeDasharray="3 3"
        />
      )}
      <text
        x={-8}
        y={height / 2}
        textAnchor="end"
        dominantBaseline="central"
        fontSize={11}
        fill="var(--mui-palette-text-primary)"
        stroke="var(--mui-palette-background-paper)"
        strokeWidth={3}
        paintOrder="stroke"
      >
        {words} {metres(over)}
      </text>
    </g>
  );
}
