import type { PreparedSegment } from '../../segment/prepared-segment';
import { defineCheck } from '../finding';

/** Pieces are to touch, and their ends differ by more than this share of the section. */
const MOST = 0.02;

/** Bent pieces that touch and do not fit: their ends have other outlines. Facts: `off`, metres, and `wide`, the section's width. */
export const seamOpen = defineCheck({
  kind: 'seamOpen',
  find({ course, segment, isBrought, seam: off = 0 }) {
    const wide = widthOf(segment);
    if (!isBrought || off <= wide * MOST) return [];
    const isPlain = course.laying.pattern.kind === 'same' && course.laying.everyOther.every === 0;
    // Other segments, or turned ones, do not fit better when the ends of each are moved.
    const remedy = isPlain ? { remedy: { kind: 'prepare', change: { seams: off * 1.01 } } as const } : {};
    return [{ check: 'seamOpen', facts: { off, wide }, ...remedy }];
  },
});

const widthOf = ({ box: { min, max } }: PreparedSegment): number => Math.max(max[1] - min[1], max[2] - min[2]);
