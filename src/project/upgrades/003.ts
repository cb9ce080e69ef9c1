import { objectOf } from './loose';

/** Courses may have names, several segments, margins, patterns and joints: all of them are left out where there are none. */
export function toVersion3(file: unknown): unknown {
  const { project, ...beside } = objectOf(file);
  return { ...beside, project: { ...objectOf(project), version: 3 } };
}
