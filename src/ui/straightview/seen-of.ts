import type { ScaleLinear } from 'd3-scale';
import type { Placement } from '../../core/layout/placement';

/** Those placements, which lie in order along the path, of which something is in sight. Logarithmic in all of them. */
export function seenOf(placements: readonly Placement[], x: ScaleLinear<number, number>): readonly Placement[] {
  const [from, to] = x.range().map((pixels) => x.invert(pixels)) as [number, number];
  const firstWhere = (is: (placement: Placement) => boolean): number => {
    let [low, high] = [0, placements.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (is(placements[middle])) high = middle;
      else low = middle + 1;
    }
    return low;
  };
  const first = firstWhere(({ station, length }) => station + length > from);
  const seen = placements.slice(
    first,
    firstWhere(({ station }) => station >= to),
  );
  return seen.length > 0 ? seen : placements.slice(Math.min(first, placements.length - 1), first + 1);
}
