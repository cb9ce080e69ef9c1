import type { FrameTable, Kink } from '../core/frames/frame-table';
import { flushEnd, meetSurface } from '../core/guides/meet-surface';
import { resolveReach, type Reach, type ReachSpec } from '../core/shape/reach';
import type { ReadyGuide } from './guide-keeper';

export type PathEnd = 'start' | 'end';

/** The reach as it comes to be where ends meet guides, and how they lie there. */
export interface MetEnds {
  readonly reach: Reach;
  readonly flush: readonly Kink[] | undefined;
  readonly unmet: readonly PathEnd[];
}

/** Cuts a run off at the guides that its ends are to meet, or draws it on to them. A closed path has no ends, and a guide that is gone is met by none. */
export function meetEnds(table: FrameTable, asked: ReachSpec, guides: readonly ReadyGuide[]): MetEnds {
  const reach = { ...resolveReach(asked, table.length) };
  const flush: Kink[] = [];
  const unmet: PathEnd[] = [];
  for (const end of ['start', 'end'] as const) {
    const guide = guides.find(({ id }) => id === asked.meets?.[end]);
    if (!guide || table.closed) continue;
    const meeting = meetSurface(table, guide.surface, end);
    if (!meeting) {
      unmet.push(end);
      continue;
    }
    reach[end === 'start' ? 'from' : 'to'] = meeting.station;
    const kink = flushEnd(table, meeting);
    if (kink) flush.push(kink);
  }
  return { reach, flush: flush.length > 0 ? flush : undefined, unmet };
}
