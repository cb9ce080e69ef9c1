import type { CourseJob } from '../layout/course-spec';

/** What says whether a course lies on another one. */
export interface Dressing extends Pick<CourseJob, 'fit' | 'align'> {
  readonly id: string;
}

/** Whether a course lies on another one: nothing lies on it, then. */
export const restsOn = ({ fit, align: { height } }: Pick<Dressing, 'fit' | 'align'>): boolean =>
  fit.kind === 'strewn' || height === 'surface' || height === 'under';

/** Which of a run's courses another one lies on: the one that it names, or the first that lies on none; -1 = none, or it lies on the path. */
export function groundOf(courses: readonly Dressing[], own: Dressing): number {
  if (!restsOn(own)) return -1;
  const wanted = own.fit.kind === 'strewn' ? own.fit.on : undefined;
  const named = courses.findIndex((other) => other.id === wanted && !restsOn(other));
  return named >= 0 ? named : courses.findIndex((other) => !restsOn(other));
}
