import type { CoatSpec } from '../../core/segment/finish/finish-spec';
import type { FinishSpec } from '../../core/segment/finish/finish-spec';
import type { Course, Project, Run } from '../schema';
import { setFinish } from './segments';

/** Courses that dress a run; the others are what it is laid of. */
export const dressingOf = ({ courses }: Run): readonly Course[] => courses.filter(({ dresses }) => dresses);

/** Lays a coat over a part of a segment, or takes it off; `finish` = how the part looks where nothing is said of it yet. */
export function setCoat(project: Project, segment: string, finish: FinishSpec, coat: CoatSpec | undefined): Project {
  const own = project.segments.find(({ id }) => id === segment)?.finishes.find(({ part }) => part === finish.part);
  const { coat: _, ...bare } = own ?? finish;
  return setFinish(project, segment, { ...bare, ...(coat && { coat }) });
}
