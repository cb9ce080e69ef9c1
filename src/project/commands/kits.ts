import { partsOf } from '../../core/layout/course-parts';
import { addressKey } from '../keys/address';
import { emptyProject, type Course, type Keyed, type Project, type Run } from '../schema';
import { UNDRAWN } from '../sets/run-of-parts';
import { changeRun, freeName } from './runs';

/**
 * A run without its path, for any other path: its courses with their segments, shape and motion. It is kept as a small project of one run whose path is
 * still to be drawn, so that it is stored, brought up to date and written to files as projects are.
 */
export interface Kit {
  readonly id: string;
  readonly project: Project;
  /** Milliseconds since 1970. */
  readonly changedAt: number;
}

/** A run as the project of a kit. What it had to do with other things of its project stays behind. */
export function kitProject(project: Project, id: string): Project | undefined {
  const run = project.runs.find((own) => own.id === id);
  if (!run) return undefined;
  const used = run.courses.flatMap(partsOf);
  const path = { id: 'kit-path', name: `${run.name} path`, curve: UNDRAWN };
  return {
    ...emptyProject(run.name),
    segments: project.segments.filter((segment) => used.includes(segment.id)),
    paths: [path],
    runs: [{ ...unbound(run), path: path.id, visible: true }],
    keyed: project.keyed.filter(({ of: [list, item] }) => (list === 'runs' && item === id) || (list === 'segments' && used.includes(item))), // prettier-ignore
  };
}

/** A run that names nothing but its segments. */
function unbound({ kit, setAside, ...run }: Run): Run {
  const { guide, rule, ...frames } = run.shape.frames;
  return {
    ...run,
    reach: { from: null, to: null },
    shape: { ...run.shape, frames: { ...frames, rule: rule === 'sitOnGuide' ? 'upright' : rule } },
    motion: { ...run.motion, after: null },
  };
}

/** How segments of a kit are called in a project: as long as runs follow the kit they share them. */
const called =
  (owner: string) =>
  (segment: string): string =>
    `${owner}-${segment}`.slice(0, 64);

const withIds = (course: Course, id: (segment: string) => string): Course => ({
  ...course,
  segment: id(course.segment),
  others: course.others.map(id),
  ...(course.head !== undefined && { head: id(course.head) }),
  ...(course.tail !== undefined && { tail: id(course.tail) }),
  ...(course.joint !== undefined && { joint: id(course.joint) }),
});

export interface LaidKit {
  /** Id of the run to be. */
  readonly run: string;
  readonly path: string;
  /** It goes with the kit when that changes; otherwise it is a copy with segments of its own. */
  readonly isLinked: boolean;
}

/** Lays a kit along a path. */
export function layKit(project: Project, kit: Kit, { run: id, path, isLinked }: LaidKit): Project {
  const [source] = kit.project.runs;
  const id4 = called(isLinked ? kit.id : id);
  const run: Run = {
    ...source,
    ...{ id, path, name: freeName(project, source.name) },
    courses: source.courses.map((course) => withIds(course, id4)),
    ...(isLinked && { kit: { id: kit.id, at: kit.changedAt } }),
  };
  return withParts({ ...project, runs: [...project.runs, run] }, kit, id4, [id]);
}

/** Runs of a project that follow a kit. */
export const runsOfKit = (project: Project, kit: string): readonly Run[] =>
  project.runs.filter((run) => run.kit?.id === kit);

/** All runs that follow a kit, as it is now; their names, paths, reaches, when they begin and whether they are shown stay. */
export function renewFromKit(project: Project, kit: Kit): Project {
  const [source] = kit.project.runs;
  const id4 = called(kit.id);
  const following = runsOfKit(project, kit.id);
  const renewed = following.reduce(
    (all, { id, motion, reach }) =>
      changeRun(all, id, {
        ...{ shape: source.shape, bending: source.bending, reach },
        motion: { ...source.motion, begins: motion.begins, after: motion.after },
        courses: source.courses.map((course) => withIds(course, id4)),
        kit: { id: kit.id, at: kit.changedAt },
      }),
    project,
  );
  const whole = withParts(renewed, kit, id4, following.map(({ id }) => id)); // prettier-ignore
  const used = new Set(whole.runs.flatMap(({ courses }) => courses.flatMap(partsOf)));
  return { ...whole, segments: whole.segments.filter(({ id }) => used.has(id)) };
}

/** The run goes its own ways from now on. */
export const letGoOfKit = (project: Project, id: string): Project => ({
  ...project,
  runs: project.runs.map((run) => {
    const { kit, ...own } = run;
    return run.id === id ? own : run;
  }),
});

/** A kit as a run that follows it has come to be: its name stays. */
export function kitAsRun(project: Project, id: string, kit: Kit, changedAt: number): Kit | undefined {
  const made = kitProject(project, id);
  if (!made) return undefined;
  const prefix = `${kit.id}-`;
  const bare = (segment: string) => (segment.startsWith(prefix) ? segment.slice(prefix.length) : segment);
  const { name, paths, runs } = kit.project;
  const [run] = made.runs;
  const courses = run.courses.map((course) => withIds(course, bare));
  const segments = made.segments.map((segment) => ({ ...segment, id: bare(segment.id) }));
  const keyed = made.keyed.map(({ of: [list, item, ...rest], keys }): Keyed => ({ of: [list, list === 'runs' ? runs[0].id : bare(item), ...rest], keys })); // prettier-ignore
  const own = { ...run, id: runs[0].id, name: runs[0].name, path: paths[0].id, courses };
  return { id: kit.id, changedAt, project: { ...made, name, paths, segments, runs: [own], keyed } };
}

/** A kit's segments put in over those of the same ids, and the keys of what is laid. */
function withParts(project: Project, kit: Kit, id4: (segment: string) => string, runs: readonly string[]): Project {
  const segments = kit.project.segments.map((segment) => ({ ...segment, id: id4(segment.id) }));
  const ids = new Set(segments.map(({ id }) => id));
  const keyed = kit.project.keyed.flatMap(({ of: [list, item, ...rest], keys }): Keyed[] =>
    (list === 'runs' ? runs : [id4(item)]).map((own) => ({ of: [list, own, ...rest], keys })),
  );
  const taken = new Set(keyed.map(({ of }) => addressKey(of)));
  return {
    ...project,
    segments: [...project.segments.filter(({ id }) => !ids.has(id)), ...segments],
    keyed: [...project.keyed.filter(({ of }) => !taken.has(addressKey(of))), ...keyed],
  };
}
