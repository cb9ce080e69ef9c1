import { SLICING_STARTS } from '../core/segment/slicing-spec';
import type { LaidCourse } from '../core/layout/lay-course';
import type { PreparedSegment } from '../core/segment/prepared-segment';

/** Triangles of a finished run for ways of slicing, by their names; those are absent that would take long to count. */
export type SlicingCounts = Readonly<Partial<Record<'auto' | 'rows' | 'spacing' | 'off', number>>>;

/** Segments of more triangles are not counted for ways of slicing that are not chosen: it would hold up a drag. */
const MOST_COUNTED = 200_000;

export function countSlicings({ countSliced }: LaidCourse, { mesh }: PreparedSegment): SlicingCounts {
  const off = countSliced(SLICING_STARTS.off);
  if (mesh.indices.length / 3 > MOST_COUNTED) return { off };
  const { auto, rows, spacing } = SLICING_STARTS;
  return { auto: countSliced(auto), rows: countSliced(rows), spacing: countSliced(spacing), off };
}
