import { boxMiddle, boxSize } from '../../mesh/box';
import { defineCheck } from '../finding';

/** Off by more than this many times the section's size. */
const LIMIT = 2;

/** A brought mesh that lies far to the side of its own origin, so that it runs beside the path. Facts: `offset`, metres. */
export const offMiddle = defineCheck({
  kind: 'offMiddle',
  find({ segment, prepare, isBrought }) {
    const [, y, z] = boxMiddle(segment.box);
    const [, height, width] = boxSize(segment.box);
    const offset = Math.hypot(y, z);
    const isFar = isBrought && prepare.centre === 'own' && offset > LIMIT * Math.hypot(height, width);
    return isFar
      ? [{ check: 'offMiddle', facts: { offset }, remedy: { kind: 'prepare', change: { centre: 'middle' } } }]
      : [];
  },
});
