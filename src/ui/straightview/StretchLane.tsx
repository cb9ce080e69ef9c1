import type { Layout } from '../../core/layout/layout';
import type { LayoutSummary } from '../../core/layout/summary';
import { percentText, signed, stretchWords } from '../format';
import type { StationScale } from './Lane';

/** By how much the pieces are longer or shorter than they were; full height = 10 %. */
export function StretchLane({
  x,
  layout: { placements, summary },
}: {
  x: StationScale;
  layout: Layout & { readonly summary: LayoutSummary };
}) {
  const { least, greatest } = summary.stretch;
  const stretch = Math.abs(greatest - 1) >= Math.abs(least - 1) ? greatest : least;
  const percent = (stretch - 1) * 100;
  const height = Math.min(Math.abs(percent) / 10, 1) * 10;
  const first = placements[0];
  const last = placements[placements.length - 1];
  const [left, right] = [x(first.station), x(last.station + last.length)];
  return (
    <g>
      <line x1={x(0)} x2={right} y1={16} y2={16} stroke="var(--mui-palette-divider)" />
      <rect
        x={left}
        width={right - left}
        y={percent >= 0 ? 16 - height : 16}
        height={Math.max(height, 1)}
        fill="var(--mui-palette-tokens-cane)"
        fillOpacity={0.85}
      />
      <text x={left + 4} y={percent >= 0 ? 26 : 11} fontSize={11} fill="var(--mui-palette-text-secondary)">
        {stretchRange(least, greatest)}
      </text>
    </g>
  );
}

const NONE = percentText(0);

/** "+0.31 % on every piece", or from the least to the greatest. */
function stretchRange(least: number, greatest: number): string {
  const [low, high] = [least, greatest].map((stretch) => {
    const percent = (stretch - 1) * 100;
    return Math.abs(percent) < 0.005 ? NONE : signed(percentText(percent), percent);
  });
  if (low !== high) return `${low} to ${high}`;
  return low === NONE || greatest >= 2 ? stretchWords(greatest) : `${high} on every piece`;
}
