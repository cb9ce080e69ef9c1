import { line } from 'd3-shape';
import { eased, type EasingSpec } from '../../core/motion/easing-registry';

const SAMPLES = 60;

/** An easing as a curve: the time to the right, the way up. */
export function EasingPicture({ easing, width, height }: { easing: EasingSpec; width: number; height: number }) {
  const shares = Array.from({ length: SAMPLES + 1 }, (_, i) => i / SAMPLES);
  const d = line<number>(
    (share) => 2 + share * (width - 4),
    (share) => height - 2 - eased(easing, share) * (height - 4),
  )(shares)!;
  return (
    <svg width={width} height={height} aria-hidden style={{ display: 'block', flex: 'none', overflow: 'visible' }}>
      <path d={d} fill="none" stroke="var(--mui-palette-tokens-sky)" strokeWidth={1.5} />
    </svg>
  );
}
