import type { FitSpec } from '../layout/fit-registry';

/** Which of a run's courses another one is strewn over: the one that it names, or the first that is not strewn itself; -1 = none, or it is laid by a rule. */
export function groundOf(courses: readonly { readonly id: string; readonly fit: FitSpec }[], fit: FitSpec): number {
  if (fit.kind !== 'strewn') return -1;
  const named = courses.findIndex(({ id, fit: own }) => id === fit.on && own.kind !== 'strewn');
  return named >= 0 ? named : courses.findIndex(({ fit: own }) => own.kind !== 'strewn');
}
