import type { ScaleLinear } from 'd3-scale';
import type { Placement } from '../../core/layout/placement';
import { SIDES_STRIDE } from '../../core/layout/side-stretch';
import type { CourseFacets } from '../../engine/facets';
import { metres, percentText, signed, stretchWords } from '../format';
import { seenOf } from './seen-of';

export interface StretchLaneProps {
  readonly x: ScaleLinear<number, number>;
  readonly layout: CourseFacets['layout'];
  readonly height: number;
}

/** More pieces than this in sight are drawn as one shape, by columns of so many pixels. */
const MOST_BARS = 160;
const COLUMN = 2;
/** What keeps words apart from what they lie on. */
const HALO = { paintOrder: 'stroke', stroke: 'var(--mui-palette-background-paper)', strokeWidth: 3 } as const;
/** A whole lane stands for this much at the least. */
const LEAST = 0.02;

/** By how much each piece is longer or shorter than it was: a bar for it on the path, and a mark for its side towards the bend and the one away from it. */
export function StretchLane({ x, layout: { placements, summary, sides }, height }: StretchLaneProps) {
  const seen = seenOf(placements, x);
  const first = placements.indexOf(seen[0]);
  const most = Math.max(LEAST, ...range(seen, sides, first).map(Math.abs));
  const middle = height / 2;
  const y = (stretch: number) => middle - (Math.min(Math.max(stretch / most, -1), 1) * (height - 8)) / 2;
  const { least, greatest } = summary.stretch;
  const [left, right] = x.range() as [number, number];
  const bars = columns(seen, sides, first, x);
  return (
    <g>
      <line x1={left} x2={right} y1={middle} y2={middle} stroke="var(--mui-palette-divider)" />
      {seen.length > MOST_BARS ? (
        <DenseBars bars={bars} y={y} middle={middle} />
      ) : (
        <Bars bars={bars} y={y} middle={middle} height={height} />
      )}
      <text
        x={right - 4}
        y={height - 3}
        textAnchor="end"
        fontSize={11}
        fill="var(--mui-palette-text-secondary)"
        pointerEvents="none"
        {...HALO}
      >
        {stretchRange(least, greatest)}
      </text>
    </g>
  );
}

interface BarsProps {
  readonly bars: readonly Bar[];
  readonly y: (stretch: number) => number;
  /** Pixels at which nothing is stretched. */
  readonly middle: number;
}

const Bars = ({ bars, y, middle, height }: BarsProps & { height: number }) => (
  <>
    {bars.map(({ from, to, stretch, inner, outer, words }, i) => (
      <g key={i} fill="var(--mui-palette-tokens-cane)">
        <rect
          x={from}
          width={to - from}
          y={Math.min(y(inner), y(outer))}
          height={Math.abs(y(inner) - y(outer))}
          fillOpacity={0.28}
        />
        <rect
          x={from}
          width={to - from}
          y={Math.min(y(stretch), middle) - 0.5}
          height={Math.abs(y(stretch) - middle) + 1}
          fillOpacity={0.85}
        />
        <rect x={from} width={to - from} height={height} fill="transparent">
          <title>{words}</title>
        </rect>
      </g>
    ))}
  </>
);

/** Many bars as two shapes. */
function DenseBars({ bars, y, middle }: BarsProps) {
  const at = (i: number, to: number) => `${bars[i].from.toFixed(1)} ${to.toFixed(1)}`;
  const rows = bars.map((_, i) => i);
  const sides = [...rows.map((i) => at(i, y(bars[i].outer))), ...rows.toReversed().map((i) => at(i, y(bars[i].inner)))];
  const axis = [
    ...rows.map((i) => at(i, y(bars[i].stretch) - 0.5)),
    ...rows.toReversed().map((i) => at(i, middle + 0.5)),
  ];
  return (
    <g fill="var(--mui-palette-tokens-cane)" pointerEvents="none">
      <path d={`M${sides.join('L')}Z`} fillOpacity={0.28} />
      <path d={`M${axis.join('L')}Z`} fillOpacity={0.85} />
    </g>
  );
}

interface Bar {
  readonly from: number;
  readonly to: number;
  readonly stretch: number;
  readonly inner: number;
  readonly outer: number;
  readonly words: string;
}

/** A bar a piece, or where they are many one a column, for the piece of it whose sides are farthest apart. */
function columns(
  seen: readonly Placement[],
  sides: Float32Array,
  first: number,
  x: ScaleLinear<number, number>,
): Bar[] {
  const axis = (i: number) => sides[(first + i) * SIDES_STRIDE] - 1;
  const mean = seen.reduce((sum, _, i) => sum + axis(i), 0) / Math.max(seen.length, 1);
  const bars: Bar[] = [];
  const isDense = seen.length > MOST_BARS;
  seen.forEach(({ piece, station, length }, i) => {
    const [from, to] = [x(station), x(station + length)];
    const stretch = axis(i);
    const [inner, outer] = [1, 2].map((k) => sides[(first + i) * SIDES_STRIDE + k] - 1) as [number, number];
    const gap = to - from > 4 ? 0.5 : 0;
    const text = (share: number) => signed(percentText(share * 100), share);
    const words = isDense
      ? ''
      : `Piece ${piece + 1} at ${metres(station)}: ${text(stretch)} on the path, ${text(inner)} and ${text(outer)} at its sides; ${text(stretch - mean)} off the mean`;
    const bar = { from: from + gap, to: Math.max(to - gap, from + 0.5), stretch, inner, outer, words };
    const last = bars[bars.length - 1];
    if (!isDense || !last || Math.floor(from / COLUMN) > Math.floor(last.from / COLUMN)) bars.push(bar);
    else if (outer - inner > last.outer - last.inner) bars[bars.length - 1] = { ...bar, from: last.from };
  });
  return bars;
}

function range(seen: readonly Placement[], sides: Float32Array, first: number): [number, number] {
  const own = sides.subarray(first * SIDES_STRIDE, (first + seen.length) * SIDES_STRIDE);
  return own.reduce<[number, number]>(([least, most], side) => [Math.min(least, side - 1), Math.max(most, side - 1)], [0, 0]); // prettier-ignore
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
