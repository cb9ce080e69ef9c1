import type { CourseResult } from '../state/results-store';

/** The parts of what a course lays, coats left out. */
export const partsShown = ({ topology, repeated }: Pick<CourseResult, 'topology' | 'repeated'>) =>
  [topology, ...repeated].flatMap(({ parts }) => parts).filter(({ isCoat }) => !isCoat);

export const partNames = (course: Pick<CourseResult, 'topology' | 'repeated'>): readonly string[] => [
  ...new Set(partsShown(course).map(({ name }) => name)),
];
