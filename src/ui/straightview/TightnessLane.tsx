import type { ScaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import { useMemo } from 'react';
import { firstAfter } from '../../core/math/first-after';
import type { PathView } from '../../engine/path-view';
import { radius } from '../format';

/** Where the limit lies in the lane, from its foot. */
const LIMIT = 0.78;

/** How much of its radius the segment uses on the inner side; at the limit it folds over. */
export function TightnessLane({ x, path, height }: { x: ScaleLinear<number, number>; path: PathView; height: number }) {
  const { tightness, stations } = path;
  const samples = useMemo(() => thinned(tightness, 800), [tightness]);
  const y = (t: number) => height - Math.min(t * LIMIT, 1) * height;
  const at = (i: number) => x(stations[i]);
  const shape = area<number>(
    (i) => at(i),
    height,
    (i) => y(tightness[i]),
  )(samples);
  const top = line<number>(
    (i) => at(i),
    (i) => y(tightness[i]),
  )(samples);
  const limit = y(1);
  const [left, right] = x.range() as [number, number];
  const tightestAt = x(path.tightest.station);
  const tightestTop = y(tightness[Math.max(firstAfter(stations, path.tightest.station) - 1, 0)]);
  const isLate = path.tightest.station > path.length * 0.9;
  return (
    <g>
      <path d={shape ?? ''} fill="var(--mui-palette-tokens-sky)" fillOpacity={0.16} />
      <path d={top ?? ''} fill="none" stroke="var(--mui-palette-tokens-sky)" strokeWidth={1.25} />
      {foldedStretches(tightness).map(([a, b]) => (
        <rect
          key={a}
          x={at(a)}
          y={0}
          width={Math.max(at(b) - at(a), 2)}
          height={height}
          fill="var(--mui-palette-error-main)"
          fillOpacity={0.2}
        />
      ))}
      {path.corners.map((station) => (
        <line
          key={station}
          x1={x(station)}
          x2={x(station)}
          y1={0}
          y2={height}
          stroke="var(--mui-palette-error-main)"
          strokeWidth={1.5}
        />
      ))}
      <line
        x1={left}
        x2={right}
        y1={limit}
        y2={limit}
        stroke="var(--mui-palette-error-main)"
        strokeDasharray="4 3"
        strokeWidth={1}
      />
      <text
        x={right}
        y={limit < 12 ? limit + 11 : limit - 4}
        textAnchor="end"
        fontSize={11}
        fill="var(--mui-palette-error-main)"
      >
        folds over here
      </text>
      {Number.isFinite(path.tightest.radius) && tightestAt >= left && tightestAt <= right && (
        <text
          x={tightestAt + (isLate ? -6 : 6)}
          y={tightestTop > height - 14 ? tightestTop - 5 : Math.max(tightestTop + 9, 24)}
          textAnchor={isLate ? 'end' : 'start'}
          fontSize={11}
          fill="var(--mui-palette-text-secondary)"
        >
          {path.tightest.radius === 0 ? 'sharp corner' : radius(path.tightest.radius)}
        </text>
      )}
    </g>
  );
}

/** About `most` sample numbers, the sharpest of each stretch among them. */
function thinned(values: Float32Array, most: number): number[] {
  const stride = Math.max(1, Math.floor(values.length / most));
  const picked: number[] = [];
  for (let i = 0; i < values.length; i += stride) {
    let best = i;
    for (let k = i; k < Math.min(i + stride, values.length); k++) if (values[k] > values[best]) best = k;
    picked.push(best);
  }
  if (picked[picked.length - 1] !== values.length - 1) picked.push(values.length - 1);
  return picked;
}

function foldedStretches(values: Float32Array): [number, number][] {
  const found: [number, number][] = [];
  for (let i = 0; i < values.length; i++) {
    if (values[i] < 1) continue;
    const start = i;
    while (i + 1 < values.length && values[i + 1] >= 1) i++;
    found.push([start, i]);
  }
  return found;
}
