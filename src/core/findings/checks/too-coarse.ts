import { defineCheck } from '../finding';

/** A path or piece with more bends than there may be samples or rows. Facts: `off`, what the run may be off by, and `wanted`, metres. */
export const tooCoarse = defineCheck({
  kind: 'tooCoarse',
  find({ shape, tolerance, rowTolerance }) {
    const off = Math.max(shape.table.tolerance, rowTolerance);
    return off > tolerance * 1.001
      ? [{ check: 'tooCoarse', facts: { off, wanted: tolerance }, remedy: { kind: 'setTolerance', metres: off } }]
      : [];
  },
});
