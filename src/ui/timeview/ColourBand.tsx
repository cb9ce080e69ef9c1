import type { KeyValue } from '../../core/motion/keys';

/** A colour over the time, as it is at each sample. */
export function ColourBand({ samples, height }: { samples: readonly (readonly [number, KeyValue])[]; height: number }) {
  const wide = samples.length > 1 ? samples[1][0] - samples[0][0] : 0;
  return (
    <g pointerEvents="none">
      {samples.map(([at, value]) => (
        <rect key={at} x={at} width={wide + 0.5} y={height / 2 - 6} height={12} fill={String(value)} />
      ))}
    </g>
  );
}
