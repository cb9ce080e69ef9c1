import { tooNear, type Clearance } from '../../guides/clearance';
import { defineCheck, type Finding } from '../finding';

/** Where a run passes through a guide or comes nearer than it is to. Facts: `gap` at the nearest (below 0: through) and `wanted`, metres. */
export const tooNearGuide = defineCheck({
  kind: 'tooNearGuide',
  find(input) {
    const { table, support, job, laying, guides } = input;
    const found: Finding[] = [];
    for (const guide of guides) {
      if (guide.clearance === null) continue;
      const all = tooNear({ table, support, job, reach: laying.reach }, guide, guide.clearance);
      for (let from = 0, to = 0; from < all.length; from = to) {
        for (to = from + 1; to < all.length && all[to]!.sample === all[to - 1]!.sample + 1;) to++;
        const stretch = all.slice(from, to);
        const worst = stretch.reduce((a: Clearance, b) => (b.gap < a.gap ? b : a));
        found.push({
          check: 'tooNearGuide',
          at: {
            from: stretch[0]!.sample * table.step,
            to: stretch[stretch.length - 1]!.sample * table.step,
            station: worst.sample * table.step,
          },
          facts: { gap: worst.gap, wanted: guide.clearance },
          guide: guide.id,
          remedy: { kind: 'pushOut', guide: guide.id },
        });
      }
    }
    return found;
  },
});
