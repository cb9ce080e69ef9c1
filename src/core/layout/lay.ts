import { fail, ok, type Result } from '../math/result';
import { EXACT_FIT } from '../math/tolerance';
import type { Reach } from '../shape/reach';
import type { LaidPath } from './laid-path';
import { layBody } from './lay-body';
import type { LayingJob, Layout, Lengths } from './layout';
import { toPlacements, type Spotted } from './placement';

/**
 * Works out where each piece starts and how long it becomes.
 * Problems: `laying.no-reach`, `laying.straight-up` (nothing of it is seen from above), `laying.no-room` (margins, head and tail need more than the reach), and those of {@link layBody}.
 */
export function lay(job: LayingJob, lengths: Lengths, reach: Reach, path: LaidPath): Result<Layout> {
  const { margins } = job;
  const { head = 0, tail = 0 } = lengths;
  const { measure, closed } = path;
  if (!(reach.to - reach.from > path.length * 1e-9)) return fail('laying.no-reach', { from: reach.from, to: reach.to });
  const [from, to] = [measure.placeOf(reach.from), measure.placeOf(reach.to)];
  if (!(to - from > (reach.to - reach.from) * 1e-6)) return fail('laying.straight-up');
  const [first, last] = [from + margins.first, to - margins.last];
  const start = first + (head > 0 ? head + margins.head : 0);
  const end = last - (tail > 0 ? tail + margins.tail : 0);
  if (!(end - start > (to - from) * 1e-9))
    return fail('laying.no-room', { needed: to - from - (end - start), reach: to - from });
  const isAllRound = closed && reach.to - reach.from >= path.length * (1 - 1e-9);
  const round = isAllRound && head + tail + margins.first + margins.last === 0;
  const body = layBody(job, lengths, { path, start, end, round });
  if (!body.ok) return body;
  const { spotted, gapAfter, left, before, pinned } = body.value;
  const once = (kind: 'head' | 'tail', at: number, long: number): Spotted[] =>
    long > 0
      ? [
          {
            kind,
            body: 0,
            spot: { start: at, length: long },
            natural: long,
            gap: 0,
            overlap: 0,
            meets: undefined,
            isPartEnd: false,
          },
        ]
      : [];
  const own = (bare: number) => (Math.abs(bare) < (end - start) * EXACT_FIT * 2 ? 0 : bare);
  const tailAt = end - own(left) + margins.tail;
  const ordered = [...once('head', first, head), ...spotted, ...once('tail', tailAt, tail)];
  return ok({
    reach,
    placements: toPlacements(ordered, job, lengths.bodies, measure),
    round: body.value.isRound,
    gapAfter,
    before: own(before),
    remainder: own(left),
    ...(pinned && { pinned }),
  });
}
