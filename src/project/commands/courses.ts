import { courseOf, laysSegment, type Course, type Project, type Run, type Segment } from '../schema';
import type { PieceEdit } from '../../core/layout/laying-spec';
import { changeRun, setLaying, type CourseAt } from './runs';
import { addSegment } from './segments';

/** Segments that no course lays any more go. */
export const withoutUnused = (project: Project): Project => ({
  ...project,
  segments: project.segments.filter(({ id }) => project.runs.some((run) => laysSegment(run, id))),
});

const withCourses = (project: Project, id: string, change: (run: Run) => readonly Course[]): Project => {
  const run = project.runs.find((r) => r.id === id);
  return run ? changeRun(project, id, { courses: change(run) }) : project;
};

/** One more course behind those of a run, of segments of its own. */
export const addCourse = (project: Project, run: string, course: Course, segments: readonly Segment[] = []): Project =>
  withCourses(segments.reduce(addSegment, project), run, ({ courses }) => [...courses, course]);

/** A copy of a course right behind it, or behind those of another run; its segments are shared. */
export function copyCourse(project: Project, run: string, course: string, newId: string, to = run): Project {
  const from = project.runs.find(({ id }) => id === run);
  if (!from) return project;
  const copy = { ...courseOf(from, course), id: newId, locked: false };
  if (to !== run) return addCourse(project, to, copy);
  return withCourses(project, run, ({ courses }) =>
    courses.flatMap((own) => (own.id === course ? [own, copy] : [own])),
  );
}

/** The courses of a run in another order: the one with this id where another one was. */
export function moveCourse(project: Project, run: string, course: string, to: string): Project {
  return withCourses(project, run, ({ courses }) => {
    const [from, at] = [course, to].map((id) => courses.findIndex((own) => own.id === id)) as [number, number];
    if (from < 0 || at < 0 || from === at) return courses;
    const rest = courses.filter(({ id }) => id !== course);
    return [...rest.slice(0, at), courses[from], ...rest.slice(at)];
  });
}

/** Takes a course away, unless it is the only one or locked. */
export function deleteCourse(project: Project, run: string, course: string): Project {
  const changed = withCourses(project, run, ({ courses }) =>
    courses.length > 1 ? courses.filter(({ id, locked }) => id !== course || locked) : courses,
  );
  return withoutUnused(changed);
}

/** The name of a course: its own, or its segment's. */
export const courseName = ({ segments }: Pick<Project, 'segments'>, { name, segment }: Course): string =>
  name ?? segments.find(({ id }) => id === segment)?.name ?? 'Course';

/** Says something of one piece of a course beside all others; what is said before stays, and undefined takes it back. */
export function editPiece(project: Project, at: CourseAt, piece: number, change: Partial<PieceEdit>): Project {
  const run = project.runs.find(({ id }) => id === at.run);
  if (!run) return project;
  const { pieces } = courseOf(run, at.course).laying;
  const known = pieces.find((edit) => edit.piece === piece);
  const isSaid = ([key, value]: [string, unknown]) => value !== undefined && (value !== 0 || key === 'body');
  const said = Object.entries({ ...known, ...change }).filter(isSaid);
  const next = { ...Object.fromEntries(said), piece } as PieceEdit;
  const others = pieces.filter((edit) => edit.piece !== piece);
  const isPlain = Object.keys(next).length === 1;
  return setLaying(project, at, { pieces: isPlain ? others : [...others, next] });
}
