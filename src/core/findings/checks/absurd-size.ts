import { boxSize } from '../../mesh/box';
import { likelyUnit } from '../../segment/likely-unit';
import { defineCheck } from '../finding';

/** Sizes outside these (metres) are taken for a mistake in units. */
const SMALLEST = 0.001;
const LARGEST = 1000;

/** A brought segment of absurd size. Facts: `size`, the longest side in metres, and `unit`, the metres per unit that suit it better. */
export const absurdSize = defineCheck({
  kind: 'absurdSize',
  find({ segment, prepare, isBrought }) {
    const size = Math.max(...boxSize(segment.box));
    if (!isBrought || (size >= SMALLEST && size <= LARGEST)) return [];
    const unit = likelyUnit(size / prepare.unit);
    const better = unit === prepare.unit ? prepare.unit / size : unit;
    return [
      { check: 'absurdSize', facts: { size, unit: better }, remedy: { kind: 'prepare', change: { unit: better } } },
    ];
  },
});
