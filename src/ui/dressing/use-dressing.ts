import type { MakerName } from '../../core/segment/registry';
import { addCourse } from '../../project/commands/courses';
import { dressingOf } from '../../project/commands/dressing';
import { newId } from '../../project/new-id';
import type { Course, Run, Segment } from '../../project/schema';
import { dressingCourse, madeDressing, type Ground } from '../../project/sets/dressing-parts';
import { useApp } from '../state/app-context';

/** Adds what dresses a run, fitted to its section. */
export function useDressing() {
  const { document, results } = useApp();
  return (run: Run, onAdded: (course: string) => void) => {
    const ground = run.courses.find((course) => !dressingOf(run).includes(course));
    const dressed = (): Ground | undefined => {
      const result = results.getState().results.get(run.id);
      const box = result?.courses.find(({ id }) => id === ground?.id)?.segment.box;
      return result && box && { box, length: result.path.length };
    };
    const add = (segment: Segment, course: Course) => {
      document.getState().edit((project) => addCourse(project, run.id, course, [segment]));
      onAdded(course.id);
    };
    return {
      addMade: (kind: MakerName) => {
        const { segment, course } = madeDressing(kind, { segment: newId(), course: newId() }, dressed());
        add(segment, course);
      },
      addBrought: (segment: Segment) => add(segment, dressingCourse(newId(), segment.id, dressed())),
    };
  };
}
