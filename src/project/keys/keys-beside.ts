import { partsOf } from '../../core/layout/course-parts';
import { projectSchema, type Keyed, type Project, type Run } from '../schema';
import { leafSchema } from './leaf-schema';

/** The values with keys that bear on a run: its own, those of its path and segments, and of guides. */
export function keysBeside(project: Project, run: Run): readonly Keyed[] {
  const own = new Set([run.id, run.path, ...run.courses.flatMap((course) => partsOf(course))]);
  return project.keyed.filter(
    ({ of }) => (of[0] === 'guides' || own.has(of[1])) && leafSchema(projectSchema, project, of) !== undefined,
  );
}
