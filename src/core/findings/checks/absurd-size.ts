import { boxSize } from '../../mesh/box';
import { defineCheck } from '../finding';

/** Sizes outside these (metres) are taken for a mistake in units. */
const SMALLEST = 0.001;
const LARGEST = 1000;
/** Metres per unit that files are met with: millimetre, centimetre, inch, foot, metre, kilometre. */
const UNITS = [0.001, 0.01, 0.0254, 0.3048, 1, 1000];

/** A brought segment of absurd size. Facts: `size`, the longest side in metres, and `unit`, the metres per unit that suit it better. */
export const absurdSize = defineCheck({
  kind: 'absurdSize',
  find({ segment, prepare, isBrought }) {
    const size = Math.max(...boxSize(segment.box));
    if (!isBrought || (size >= SMALLEST && size <= LARGEST)) return [];
    const distance = (unit: number) => Math.abs(Math.log((size / prepare.unit) * unit));
    const unit = [...UNITS].sort((a, b) => distance(a) - distance(b))[0]!;
    const better = unit === prepare.unit ? prepare.unit / size : unit;
    return [
      { check: 'absurdSize', facts: { size, unit: better }, remedy: { kind: 'prepare', change: { unit: better } } },
    ];
  },
});
