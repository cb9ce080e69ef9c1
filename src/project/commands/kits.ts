import { mapParts, partsOf } from '../../core/layout/course-parts';
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

/** A run as the project of a kit, its segments numbered. What it had to do with other things of its project stays behind. */
export function kitProject(project: Project, id: string): Project | undefined {
  const run = project.runs.find((own) => own.id === id);
  if (!run) return undefined;
  const used = [...new Set(run.courses.flatMap(partsOf))];
  const idOf = (segment: string) => `s${used.indexOf(segment) + 1}`;
  const segments = used.map((own) => ({ ...project.segments.find((segment) => segment.id === own)!, id: idOf(own) }));
  const path = { id: 'path', name: `${run.name} path`, curve: UNDRAWN };
  const courses = run.courses.map((course) => withIds(course, idOf));
  const keyed = project.keyed.flatMap(({ of: [list, item, ...rest], keys }): Keyed[] => {
    if (list === 'runs' && item === id) return [{ of: [list, 'run', ...rest], keys }];
    return list === 'segments' && used.includes(item) ? [{ of: [list, idOf(item), ...rest], keys }] : [];
  });
  return {
    ...emptyProject(run.name),
    ...{ segments, paths: [path], keyed },
    runs: [{ ...unbound(run), id: 'run', path: path.id, visible: true, courses }],
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
    `${owner}-${segment}`;

const withIds = (course: Course, id: (segment: string) => string): Course => ({ ...course, ...mapParts(course, id) });

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
  const idOf = called(isLinked ? kit.id : id);
  const run: Run = {
    ...source,
    ...{ id, path, name: freeName(project, source.name) },
    courses: source.courses.map((course) => withIds(course, idOf)),
    ...(isLinked && { kit: { id: kit.id, at: kit.changedAt } }),
  };
  return withParts({ ...project, runs: [...project.runs, run] }, kit, idOf, [id]);
}

/** Runs of a project that follow a kit. */
export const runsOfKit = (project: Project, kit: string): readonly Run[] =>
  project.runs.filter((run) => run.kit?.id === kit);

/** All runs that follow a kit, as it is now; their names, paths, reaches, when they begin and whether they are shown stay. */
export function renewFromKit(project: Project, kit: Kit): Project {
  const [source] = kit.project.runs;
  const idOf = called(kit.id);
  const following = runsOfKit(project, kit.id);
  const renewed = following.reduce(
    (all, { id, motion, reach }) =>
      changeRun(all, id, {
        ...{ shape: source.shape, bending: source.bending, reach },
        motion: { ...source.motion, begins: motion.begins, after: motion.after },
        courses: source.courses.map((course) => withIds(course, idOf)),
        kit: { id: kit.id, at: kit.changedAt },
      }),
    project,
  );
  const whole = withParts(renewed, kit, idOf, following.map(({ id }) => id)); // prettier-ignore
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

/** A kit as a run that follows it has come to be; its name stays. */
export function kitAsRun(project: Project, id: string, kit: Kit, changedAt: number): Kit | undefined {
  const made = kitProject(project, id);
  if (!made) return undefined;
  const [run] = made.runs;
  const { name, paths, runs } = kit.project;
  return { id: kit.id, changedAt, project: { ...made, name, paths, runs: [{ ...run, name: runs[0].name }] } };
}

/** A kit's segments put in over those of the same ids, and the keys of what is laid. */
function withParts(project: Project, kit: Kit, idOf: (segment: string) => string, runs: readonly string[]): Project {
  const segments = kit.project.segments.map((segment) => ({ ...segment, id: idOf(segment.id) }));
  const ids = new Set(segments.map(({ id }) => id));
  const keyed = kit.project.keyed.flatMap(({ of: [list, item, ...rest], keys }): Keyed[] =>
    (list === 'runs' ? runs : [idOf(item)]).map((own) => ({ of: [list, own, ...rest], keys })),
  );
  const taken = new Set(keyed.map(({ of }) => addressKey(of)));
  return {
    ...project,
    segments: [...project.segments.filter(({ id }) => !ids.has(id)), ...segments],
    keyed: [...project.keyed.filter(({ of }) => !taken.has(addressKey(of))), ...keyed],
  };
}
