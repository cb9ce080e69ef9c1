import { bendTolerance } from '../../bending/bending-spec';
import type { FrameTable } from '../../frames/frame-table';
import { askedPlanes, longestAsked, neededRow, ownRow } from '../../segment/plan-slices';
import { halfWidth } from '../../segment/prepared-segment';
import { defineCheck, type Finding } from '../finding';

/**
 * Rows too far apart for the bends under a piece; pieces one after the other make up one place. Facts: `row`, the longest row there is, and
 * `needed`, the longest that the tightest bend there bears, both in metres along the path.
 */
export const tooFewRows = defineCheck({
  kind: 'tooFewRows',
  find({ table, segment, job, laying }) {
    const { slicing, gauge, turns } = job.bending;
    if (slicing.by === 'auto') return [];
    const half = halfWidth(segment.box);
    const { from, to } = laying.reach;
    const tolerance = bendTolerance(job.bending, half);
    const bend = { offset: half * gauge, tolerance, twist: (2 * Math.PI * turns) / (to - from) };
    const planes = askedPlanes(slicing, segment.length);
    const row = longestAsked(ownRow(segment), planes, segment.length) * laying.stretch;
    // Other ways of slicing put a row at every corner.
    const corners = slicing.by === 'off' ? cornerRows(table, tolerance) : [];
    const found: { from: number; to: number; station: number; needed: number }[] = [];
    let isOpen = false;
    let next = 0;
    for (const { station, length } of laying.placements) {
      const end = station + length;
      let needed = neededRow(table, station, end, bend);
      while (next < corners.length && corners[next]!.station <= station + row * MEETS) next++;
      for (; next < corners.length && corners[next]!.station < end - row * MEETS; next++)
        needed = Math.min(needed, corners[next]!.needed);
      const last = found[found.length - 1];
      const isWrong = row > needed * 1.001;
      const here = { from: station, to: end, station: station + length / 2, needed };
      if (isWrong && isOpen && last)
        Object.assign(last, needed < last.needed ? { ...here, from: last.from } : { to: end });
      else if (isWrong) found.push(here);
      isOpen = isWrong;
    }
    return found.map(({ needed, ...at }): Finding => {
      return { check: 'tooFewRows', at, facts: { row, needed }, remedy: { kind: 'sliceAsNeeded' } };
    });
  },
});

/** A corner this near to where pieces meet, as a share of a row, has a row there. */
const MEETS = 1e-3;

/** The longest row that each corner bears: over it a chord cuts off half its length times the sine of half the turn. */
const cornerRows = ({ kinks }: FrameTable, tolerance: number) =>
  kinks.map(({ station, angle }) => ({ station, needed: (2 * tolerance) / Math.sin(angle / 2) }));
