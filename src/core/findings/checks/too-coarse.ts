import { bendTolerance } from '../../bending/bending-spec';
import { halfWidth } from '../../segment/prepared-segment';
import { defineCheck } from '../finding';

/** A path or piece with more bends than there may be samples or rows. Facts: `off`, what the run may be off by, and `wanted`, metres. */
export const tooCoarse = defineCheck({
  kind: 'tooCoarse',
  find({ table, segment, job, rowTolerance }) {
    const wanted = bendTolerance(job.bending, halfWidth(segment.box));
    const off = Math.max(table.tolerance, rowTolerance);
    return off > wanted * 1.001
      ? [{ check: 'tooCoarse', facts: { off, wanted }, remedy: { kind: 'setTolerance', metres: off } }]
      : [];
  },
});
