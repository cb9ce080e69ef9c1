import type { FrameTable } from '../../frames/frame-table';
import { fitOf } from '../../layout/fit-registry';
import { askedPlanes, longestAsked, neededRow, ownRow } from '../../segment/pieces/plan-slices';
import { halfWidth } from '../../segment/prepared-segment';
import { defineCheck, type FindingOf } from '../finding';

/**
 * Rows too far apart for the bends under a piece; pieces one after the other make up one place. Facts: `row`, the longest row there is, and
 * `needed`, the longest that the tightest bend there bears, both in metres along the path.
 */
export const tooFewRows = defineCheck({
  kind: 'tooFewRows',
  find({ shape, segment, course, bending, layout, summary, tolerance }) {
    const { slicing } = bending;
    if (slicing.by === 'auto' || !fitOf(course.fit).follows) return [];
    const bend = { half: halfWidth(segment.box), tolerance };
    const planes = askedPlanes(slicing, segment.length);
    const row = longestAsked(ownRow(segment), planes, segment.length) * summary.stretch.greatest;
    // Other ways of slicing put a row at every corner.
    const corners = slicing.by === 'off' ? cornerRows(shape.table, tolerance) : [];
    const found: { from: number; to: number; station: number; needed: number }[] = [];
    let isOpen = false;
    let next = 0;
    for (const { station, length } of layout.placements) {
      const end = station + length;
      let needed = neededRow(shape, station, end, bend);
      while (next < corners.length && corners[next].station <= station + row * MEETS) next++;
      for (; next < corners.length && corners[next].station < end - row * MEETS; next++)
        needed = Math.min(needed, corners[next].needed);
      const last = found[found.length - 1];
      const isWrong = row > needed * 1.001;
      const here = { from: station, to: end, station: station + length / 2, needed };
      if (isWrong && isOpen && last)
        Object.assign(last, needed < last.needed ? { ...here, from: last.from } : { to: end });
      else if (isWrong) found.push(here);
      isOpen = isWrong;
    }
    return found.map(({ needed, ...at }): FindingOf<'tooFewRows', { row: number; needed: number }> => {
      return { check: 'tooFewRows', at, facts: { row, needed }, remedy: { kind: 'sliceAsNeeded' } };
    });
  },
});

/** A corner this near to where pieces meet, as a share of a row, has a row there. */
const MEETS = 1e-3;

/** The longest row that each corner bears: over it a chord cuts off half its length times the sine of half the turn. */
const cornerRows = ({ kinks }: FrameTable, tolerance: number) =>
  kinks.map(({ station, angle }) => ({ station, needed: (2 * tolerance) / Math.sin(angle / 2) }));
