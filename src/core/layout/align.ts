import type { Box } from '../mesh/box';
import type { CourseJob } from './course-spec';

/** Metres up and sideways that bring what of a segment is to lie on the path there: an edge or the middle of its box. */
export function alignedBy(
  { min, max }: Box,
  { align, mirrored }: Pick<CourseJob, 'align' | 'mirrored'>,
  gauge: number,
): { readonly up: number; readonly side: number } {
  const [low, high] = mirrored ? [-max[2], -min[2]] : [min[2], max[2]];
  const sides = { own: 0, left: low, middle: (low + high) / 2, right: high };
  const heights = { own: 0, surface: 0, under: 0, bottom: min[1], middle: (min[1] + max[1]) / 2, top: max[1] };
  const against = (value: number) => (value === 0 ? 0 : -value * gauge);
  return { up: against(heights[align.height]), side: against(sides[align.side]) };
}
