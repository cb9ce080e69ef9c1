import type { Course, Run } from '../../project/schema';
import { useProject } from '../state/app-context';
import type { RowMenuItem } from './RowMenu';
import type { CourseActions } from './use-course-actions';

/** What a right click on a course offers; `onRename` where its name can be typed. */
export function useCourseMenu(actions: CourseActions) {
  const runs = useProject((s) => s.project.runs);
  return (run: Run, course: Course, onRename?: () => void): readonly RowMenuItem[] => {
    const { id, visible, locked } = course;
    const others = runs.filter((other) => other.id !== run.id);
    return [
      ...(onRename ? [{ label: 'Rename', act: onRename, isOff: locked }] : []),
      { label: 'Duplicate', act: () => actions.duplicate(id) },
      { label: 'Copy to the other side', act: () => actions.mirror(id) },
      'line',
      { label: visible ? 'Hide' : 'Show', act: () => actions.show(id, !visible) },
      { label: locked ? 'Unlock' : 'Lock', act: () => actions.lock(id, !locked) },
      { label: 'Delete', act: () => actions.remove(id), isOff: locked || run.courses.length < 2 },
      ...(others.length > 0 ? ['line' as const] : []),
      ...others.map(({ id: to, name }) => ({
        label: `Copy to ${name.slice(0, 60)}`,
        act: () => actions.duplicate(id, to),
      })),
    ];
  };
}
