import { farthestOf, tooNear, type Clearance } from '../../guides/clearance';
import { defineCheck, type FindingOf } from '../finding';

/** Places looked at are so far apart, as a share of the section's greatest distance from the path. */
const SPACING = 0.25;

/** Where a run passes through a guide or comes nearer than it is to. Facts: `gap` at the nearest (below 0: through) and `wanted`, metres. */
export const tooNearGuide = defineCheck({
  kind: 'tooNearGuide',
  find(input) {
    const { shape, support, guides } = input;
    const { length } = shape.table;
    const found: FindingOf<'tooNearGuide', { gap: number; wanted: number }>[] = [];
    for (const guide of guides) {
      if (guide.clearance === null) continue;
      const spacing = Math.min(Math.max(farthestOf(support) * SPACING, length / 4000), length / 64);
      for (const stretch of tooNear({ shape, support }, guide, guide.clearance, spacing)) {
        const worst = stretch.reduce((a: Clearance, b) => (b.gap < a.gap ? b : a));
        found.push({
          check: 'tooNearGuide',
          at: {
            from: stretch[0].station,
            to: stretch[stretch.length - 1].station,
            station: worst.station,
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
