import { absurdSize } from './absurd-size';
import { defineCheck, type Remedy } from '../finding';

/** A piece that is longer than this many times its own length, or shorter than its inverse, looks it. */
const MOST = 1.5;

/** Pieces that were stretched or pressed out of shape. Facts: `stretch`, and `length` in metres, the natural length that fits. */
export const overStretched = defineCheck({
  kind: 'overStretched',
  find(input) {
    const { summary, isBrought } = input;
    if (absurdSize.find(input).length > 0) return []; // that is the cause
    const { natural } = summary;
    const { least, greatest } = summary.stretch;
    if (greatest <= MOST && least >= 1 / MOST) return [];
    const stretch = greatest > MOST ? greatest : least;
    const length = natural * stretch;
    // A brought mesh is laid several times instead.
    const remedy: Remedy = isBrought
      ? { kind: 'setLayingRule', rule: 'fillStretch' }
      : { kind: 'setSegmentLength', metres: length };
    return [{ check: 'overStretched', facts: { stretch, length }, remedy }];
  },
});
