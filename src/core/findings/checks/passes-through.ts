import { scale } from '../../math/vec3';
import type { Crossing } from '../crossing';
import { defineCheck, type FindingOf, type Remedy } from '../finding';

/** Room that is left beside what is just enough. */
const MARGIN = 1.1;

/** A remedy goes over so many depths to either side, and the stretch itself. */
const OVER = 3;

/** A crossing as it is told of. */
export function crossingFinding(crossing: Crossing): FindingOf<'passesThrough', { depth: number; other: number }> {
  const { from, to, station, run, other, depth, up, side, gauge, half, reach, away, isDrawn } = crossing;
  const over = (to - from) / 2 + depth * OVER;
  const at = { station, over, reach };
  const aside: Remedy = { kind: 'moveAside', ...at, up: up * MARGIN, side: side * MARGIN };
  const path: Remedy = { kind: 'movePath', station, over: over + half, by: scale(away, depth * MARGIN) };
  const thinner: Remedy = { kind: 'setGauge', ...at, gauge: gauge / MARGIN };
  const wider: Remedy = { kind: 'setGauge', ...at, gauge: 1.4, which: 'side' };
  // Between the two places it comes round too tightly.
  const opened: Remedy = { kind: 'roundBend', station: (station + other) / 2, radius: half * MARGIN };
  return {
    check: 'passesThrough',
    at: { from, to, station },
    facts: { depth, other },
    ...(run !== undefined && { run }),
    remedy: aside,
    others: [...(isDrawn ? [path] : []), ...(gauge > 0.05 ? [thinner] : []), run === undefined ? opened : wider],
  };
}

/** Where a run passes through itself or another one: found on the bent meshes of all runs, which no other check needs. Facts: `depth`, `other` (its station there), metres. */
export const passesThrough = defineCheck({
  kind: 'passesThrough',
  find: ({ crossings = [] }) => crossings.map(crossingFinding),
});
