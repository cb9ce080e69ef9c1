import { fitOf } from '../../layout/fit-registry';
import type { PreparedSegment } from '../../segment/prepared-segment';
import { defineCheck } from '../finding';

/** Pieces are to touch, and their ends differ by more than this share of the section. */
const MOST = 0.02;

/** Bent pieces that touch and do not fit: their ends have other outlines. Facts: `off`, metres, and `wide`, the section's width. */
export const seamOpen = defineCheck({
  kind: 'seamOpen',
  find({ layout, course, segment, isBrought }) {
    const { off, wide } = seamOff(segment);
    const touch = layout.placements.some(({ gap, kind }, i) => kind === 'body' && gap === 0 && layout.placements[i + 1]?.kind === 'body'); // prettier-ignore
    const isPlain = course.laying.pattern.kind === 'same' && course.laying.everyOther.every === 0;
    if (!isBrought || !isPlain || !touch || !fitOf(course.fit).follows || off <= wide * MOST) return [];
    return [{ check: 'seamOpen', facts: { off, wide }, remedy: { kind: 'prepare', change: { seams: off * 1.01 } } }];
  },
});

function seamOff({ seam, box }: PreparedSegment): { readonly off: number; readonly wide: number } {
  return { off: seam.gap ?? 0, wide: Math.max(box.max[1] - box.min[1], box.max[2] - box.min[2]) };
}
