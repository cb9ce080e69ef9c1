import { layingRule } from '../../layout/registry';
import { defineCheck } from '../finding';

/** Pieces at given places that lie in each other. Facts: `overlap`, metres, and `count`. */
export const piecesOverlap = defineCheck({
  kind: 'piecesOverlap',
  find({ layout, course }) {
    if (!layingRule(course.laying.rule).isPlaced) return [];
    const over = layout.placements.slice(0, -1).filter(({ gap, natural }) => gap < -natural * 1e-6);
    if (over.length === 0) return [];
    const worst = over.reduce((a, b) => (b.gap < a.gap ? b : a));
    const station = worst.station + worst.length;
    const at = { from: station + worst.gap, to: station, station };
    return [{ check: 'piecesOverlap', at, facts: { overlap: -worst.gap, count: over.length } }];
  },
});
