import { heldHeight } from '../../layout/held-height';
import { defineCheck } from '../finding';

/** Metres: steps of one flight may differ by so much, 3/8 inch (IRC R311.7.5.1, from memory). */
const MOST = 0.0095;

/** Level pieces that step by unequal heights. Facts: `least` and `greatest`, metres. */
export const unevenRise = defineCheck({
  kind: 'unevenRise',
  find({ course, layout, shape }) {
    const { fit } = course;
    // What is parted steps from bay to bay, as a fence does, and is no flight.
    if (fit.kind !== 'level' || fit.byLeg || course.laying.joints.at !== 'none') return [];
    const heights = layout.placements.map((place) => heldHeight(shape, { ...place, scale: 1 }, fit));
    const steps = heights.slice(1).map((y, i) => y - heights[i]);
    const climbing = steps.filter((step) => Math.abs(step) > 1e-6);
    const least = Math.min(...climbing.map(Math.abs));
    const greatest = Math.max(...climbing.map(Math.abs));
    if (climbing.length < 2 || greatest - least <= MOST) return [];
    const worst = layout.placements[steps.findIndex((step) => Math.abs(step) === greatest) + 1].station;
    const remedy = course.laying.rule.kind === 'fromRise' ? {} : { remedy: { kind: 'setLayingRule', rule: 'fromRise' } as const }; // prettier-ignore
    return [
      { check: 'unevenRise', at: { from: worst, to: worst, station: worst }, facts: { least, greatest }, ...remedy },
    ];
  },
});
