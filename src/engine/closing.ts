import { closingOf, type Closing } from '../core/edit/close-loop';
import { fail, ok, type Result } from '../core/math/result';
import type { Deriver } from './derive';
import type { RunSource } from './run-source';

/** How the links of a course fit the loop that they go round. Problems: `laying.no-loop`, and those of the run. */
export async function closingOfCourse(deriver: Deriver, source: RunSource, course: string): Promise<Result<Closing>> {
  const derived = await deriver.derive(source);
  if (!derived.ok) return derived;
  const own = derived.value.courses.find((each) => each.course.id === course);
  const pitch = own?.laid.layout.pinned?.pitch;
  const rule = own?.course.laying.rule;
  if (pitch === undefined || rule?.kind !== 'pinToPin') return fail('laying.no-loop');
  const closing = closingOf(source.curve, pitch, rule.pairs ? 2 : 1);
  return closing ? ok(closing) : fail('laying.no-loop');
}
