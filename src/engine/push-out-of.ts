import { raised } from '../core/edit/transform-points';
import type { CurveSpec } from '../core/curve/registry';
import { pushOut, type PushInput, type PushManner } from '../core/guides/push-out';
import { fail, ok, type Result } from '../core/math/result';
import type { Guide } from '../project/schema';
import type { Deriver } from './derive';
import type { RunSource } from './run-source';

/** What is tried, in this order: under a guide comes last, as the shortest way that is left. */
const MANNERS: readonly PushManner[] = ['nearest', 'sideways', 'over'];

/** Metres: the ground is a floor for what does not lie below it already. */
const GROUND = 0;

/**
 * The run's path, pushed out of a guide by as much as its section needs; `fixed` ends stay. Ways are tried one after the other and the first
 * is taken that clears the guide and leaves no more findings than there were. Problems: `guide.not-cleared`, and those of the run.
 */
export async function pushOutOf(
  deriver: Deriver,
  source: RunSource,
  guide: Guide,
  fixed: NonNullable<PushInput['fixed']> = {},
): Promise<Result<CurveSpec>> {
  const derived = await deriver.derive(source);
  if (!derived.ok) return derived;
  const ready = await deriver.guides.get(guide);
  if (!ready.ok) return ready;
  const sat = await deriver.guides.all(source.guides.filter(({ id }) => id === source.steps.shape.frames.guide));
  const { support } = derived.value.courses[0].ready;
  const input = { job: source.steps, support, guide: ready.value, surface: sat[0]?.surface, fixed };
  const before = derived.value.findings().length;
  const lift = source.steps.shape.lift ?? 0;
  const lowest = Math.min(...source.curve.points.map(({ position }) => position[1] + lift));
  const floor = Math.min(GROUND, lowest);
  for (const manner of MANNERS) {
    const pushed = pushOut(raised(source.curve, lift), { ...input, manner, floor });
    const out = pushed && raised(pushed, -lift);
    const checked = out && (await deriver.derive({ ...source, curve: out }));
    if (!checked?.ok) continue;
    const findings = checked.value.findings();
    const isClear = findings.every((finding) => finding.guide !== guide.id);
    if (isClear && findings.length <= before) return ok(out!);
  }
  return fail('guide.not-cleared');
}
