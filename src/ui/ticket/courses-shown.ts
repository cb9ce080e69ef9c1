import type { Course, Run } from '../../project/schema';

/** The courses that are listed below a run: what it is laid of, and what dresses it while that is selected. */
export const coursesShown = ({ courses }: Run, selected: string | undefined): readonly Course[] =>
  courses.filter(({ id, dresses }) => !dresses || id === selected);
