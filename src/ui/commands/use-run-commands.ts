import { courseName } from '../../project/commands/courses';
import { useApp, useCourse, useProject, useRun } from '../state/app-context';
import { STEP_TITLES, STEPS } from '../state/steps';
import { useCourseActions } from '../ticket/use-course-actions';
import { useCourseMenu } from '../ticket/use-course-menu';
import { useRunActions } from '../ticket/use-run-actions';
import { useRunMenu } from '../ticket/use-run-menu';
import { command, commandsOf, type Command } from './command';

/** The runs of the project, the chosen one with its course, and the steps of the ticket. */
export function useRunCommands(): readonly Command[] {
  const { set } = useApp().session.getState();
  const project = useProject((s) => s.project);
  const [run, course] = [useRun(), useCourse()];
  const runMenu = useRunMenu(useRunActions());
  const courseMenu = useCourseMenu(useCourseActions(run?.id ?? ''));
  return [
    ...project.runs.map(({ id, name }) => command(`Choose ${name}`, 'Runs', () => set({ run: id, point: undefined }))),
    ...(run ? commandsOf(runMenu(run), run.name, 'Runs, right click') : []),
    ...(run && course && run.courses.length > 1
      ? commandsOf(courseMenu(run, course), courseName(project, course), 'Runs, a course, right click')
      : []),
    ...(run
      ? STEPS.map((step, i) => command(`Open step ${i + 1}, ${STEP_TITLES[step]}`, 'Ticket', () => set({ step })))
      : []),
  ];
}
