import { defineCheck } from '../finding';

/** Pieces that stop before the end of the reach or go beyond it. Facts: `remainder` in metres, negative = beyond. */
export const endMissed = defineCheck({
  kind: 'endMissed',
  find({ laying, job }) {
    const { remainder, reach } = laying;
    if (job.laying.rule === 'onePiece') return []; // one that keeps its length is meant to
    if (Math.abs(remainder) <= (reach.to - reach.from) * 1e-6) return [];
    if (remainder < 0 && job.bending.pastEnd === 'trim') return [];
    const at = {
      from: Math.min(reach.to - remainder, reach.to),
      to: Math.max(reach.to - remainder, reach.to),
      station: reach.to,
    };
    return [{ check: 'endMissed', at, facts: { remainder }, remedy: { kind: 'setLayingRule', rule: 'fillStretch' } }];
  },
});
