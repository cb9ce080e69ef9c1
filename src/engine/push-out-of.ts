import type { CurveSpec } from '../core/curve/registry';
import { pushOut } from '../core/guides/push-out';
import { fail, ok, type Result } from '../core/math/result';
import type { Guide } from '../project/schema';
import type { Deriver, RunSource } from './derive';

/** The run's path, pushed out of a guide by as much as its section needs. Problems: `guide.not-cleared`, and those of the run. */
export async function pushOutOf(deriver: Deriver, source: RunSource, guide: Guide): Promise<Result<CurveSpec>> {
  const derived = await deriver.derive(source, null);
  if (!derived.ok) return derived;
  const ready = await deriver.guides.get(guide);
  if (!ready.ok) return ready;
  const sat = await deriver.guides.all(source.guides.filter(({ id }) => id === source.job.bending.frames.guide));
  const { support } = derived.value.ready;
  const out = pushOut(source.curve, { job: source.job, support, guide: ready.value, surface: sat[0]?.surface });
  return out ? ok(out) : fail('guide.not-cleared');
}
