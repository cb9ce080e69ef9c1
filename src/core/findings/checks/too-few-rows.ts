import { bendTolerance } from '../../bending/bending-spec';
import { askedPlanes, longestAsked, neededRow, ownRow } from '../../segment/plan-slices';
import { halfWidth } from '../../segment/prepared-segment';
import { defineCheck } from '../finding';

/**
 * Rows too far apart for the tightest bend under a piece. Facts: `row`, the longest row there is, and `needed`, the longest
 * that the bend bears, both in metres along the path.
 */
export const tooFewRows = defineCheck({
  kind: 'tooFewRows',
  find({ table, segment, job, laying }) {
    const { slicing, gauge, turns } = job.bending;
    if (slicing.by === 'auto') return [];
    const half = halfWidth(segment.box);
    const { from, to } = laying.reach;
    const bend = {
      offset: half * gauge,
      tolerance: bendTolerance(job.bending, half),
      twist: (2 * Math.PI * turns) / (to - from),
    };
    const own = ownRow(segment);
    const inSegment = longestAsked(own, askedPlanes(slicing, segment.length), segment.length);
    const row = inSegment * laying.stretch;
    let worst = { needed: Infinity, from: 0, to: 0 };
    // Over a corner a chord cuts off half its length times the sine of half the turn; other ways of slicing put a row there.
    if (slicing.by === 'off') {
      for (const { station, angle } of table.kinks) {
        const over = laying.placements.find(
          (p) => p.station < station - row * 1e-3 && p.station + p.length > station + row * 1e-3,
        );
        const needed = (2 * bend.tolerance) / Math.sin(angle / 2);
        if (over && needed < worst.needed) worst = { needed, from: over.station, to: over.station + over.length };
      }
    }
    for (const { station, length } of laying.placements) {
      const needed = neededRow(table, station, station + length, bend);
      if (needed < worst.needed) worst = { needed, from: station, to: station + length };
    }
    if (row <= worst.needed * 1.001) return [];
    const at = { from: worst.from, to: worst.to, station: (worst.from + worst.to) / 2 };
    return [{ check: 'tooFewRows', at, facts: { row, needed: worst.needed }, remedy: { kind: 'sliceAsNeeded' } }];
  },
});
