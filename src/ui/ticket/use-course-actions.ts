import { copyCourse, deleteCourse, moveCourse } from '../../project/commands/courses';
import { copyToOtherSide } from '../../project/commands/mirror';
import { setCourse } from '../../project/commands/runs';
import { newId } from '../../project/new-id';
import type { Project } from '../../project/schema';
import { useApp } from '../state/app-context';

/** What can be done to the courses of a run. */
export function useCourseActions(run: string) {
  const { document, session } = useApp();
  const edit = (change: (project: Project) => Project) => document.getState().edit(change);
  const change = (course: string, next: Parameters<typeof setCourse>[2]) =>
    edit((project) => setCourse(project, { run, course }, next));
  return {
    choose: (course: string) => session.getState().set({ run, course, station: undefined }),
    rename: (course: string, name: string) => {
      if (name.trim() !== '') change(course, { name: name.trim().slice(0, 200) });
    },
    show: (course: string, visible: boolean) => change(course, { visible }),
    lock: (course: string, locked: boolean) => change(course, { locked }),
    duplicate: (course: string, to = run) => {
      const id = newId();
      edit((project) => copyCourse(project, run, course, id, to));
      session.getState().set({ run: to, course: id });
    },
    mirror: (course: string) => {
      const id = newId();
      edit((project) => copyToOtherSide(project, run, course, id));
      session.getState().set({ run, course: id });
    },
    move: (course: string, to: string) => edit((project) => moveCourse(project, run, course, to)),
    remove: (course: string) => edit((project) => deleteCourse(project, run, course)),
  };
}

export type CourseActions = ReturnType<typeof useCourseActions>;
