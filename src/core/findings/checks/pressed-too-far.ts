import { defineCheck } from '../finding';

/** Pieces that are shorter than what of them keeps its shape. Facts: `length` and `needed`, metres. */
export const pressedTooFar = defineCheck({
  kind: 'pressedTooFar',
  find({ layout, segment }) {
    const needed = segment.stiff.reduce((sum, { from, to }) => sum + to - from, 0);
    if (needed === 0) return [];
    const short = layout.placements.find(({ kind, factor, natural, hidden }) => kind === 'body' && !hidden && factor * natural < needed); // prettier-ignore
    if (!short) return [];
    const length = short.factor * short.natural;
    const at = { from: short.station, to: short.station + length, station: short.station };
    return [{ check: 'pressedTooFar', at, facts: { length, needed } }];
  },
});
