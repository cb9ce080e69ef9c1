import { floatBelow } from '../core/math/float-below';
import { frameCount, frameTime, type FrameRange } from '../core/motion/frame-range';
import { partOf, type OnProgress } from '../core/math/progress';
import { wheelsOffAfter } from '../core/guides/wheel-guides';
import { about, fail, ok, problem, type Problem, type Result } from '../core/math/result';
import type { NamedBytes, NamedMesh } from '../formats/format';
import { writeGlb } from '../formats/glb-files';
import { projectAt } from '../project/keys/project-at';
import type { Guide, Project, Run } from '../project/schema';
import { bakeProject, courseObjectName } from './bake';
import type { Deriver } from './derive';
import { FollowedRun } from './followed-run';
import { buildMovingCourse, type Manner, type Times } from './moving-objects';
import { movingGuides } from './moving-guides';
import { wheelsAsGuides } from './wheels-of';

export interface MovingOptions extends Manner {
  readonly range: FrameRange;
  /** Name or id of the one run; absent: all visible ones. */
  readonly run?: string | undefined;
  readonly guides?: boolean | undefined;
  readonly onProgress?: OnProgress | undefined;
  /** Where runs that were worked out before are found, by their ids; they are kept there. */
  readonly kept?: KeptRuns | undefined;
}

/** What a run came to, with what is to be told of it. */
interface MadeRun extends Omit<MovingFacts, 'seconds'> {
  readonly objects: readonly NamedMesh[];
  readonly warnings: readonly Problem[];
}

export interface KeptRuns {
  read(run: string): Promise<unknown>;
  write(run: string, made: unknown): Promise<void>;
}

/** What there is to know of a file that moves before it is saved. */
export interface MovingFacts {
  /** Metres: how far it is off the project's own motion at the most, and which object is; none where it is right. */
  readonly off: number;
  readonly where: string | undefined;
  /** Joints and shapes of all courses. */
  readonly joints: number;
  readonly shapes: number;
  readonly seconds: number;
}

/** More pieces at more moments than this are refused: each takes some hundred bytes. */
const MOST_POSES = 4_000_000;
/** Radians: wheels that are off by less stand as they did. */
const LIKE = 1e-3;
/** How much of it all is working out how things move. */
const WORKING = 0.8;

/**
 * A GLB that moves: pieces that keep their shape are nodes, what bends hangs on joints or goes from shape to shape. Problems: `run.unknown`,
 * `moving.too-long`, `bake.empty`, and those of the runs. Warnings: `moving.remade` of runs whose segments have keys, for such a file holds them as they
 * are in the end, and `moving.pieces` of runs that have pieces on the way which are not there in the end.
 */
export async function bakeMoving(
  project: Project,
  deriver: Deriver,
  name: string,
  options: MovingOptions,
): Promise<Result<{ files: readonly NamedBytes[]; facts: MovingFacts }>> {
  const { range, run: wanted, guides = false, onProgress } = options;
  const runs = projectAt(project, null).runs.filter((run) =>
    wanted === undefined ? run.visible : run.id === wanted || run.name === wanted,
  );
  if (wanted !== undefined && runs.length === 0)
    return fail('run.unknown', { id: wanted, known: project.runs.map((run) => run.name).join(', ') });
  const times = Float32Array.from({ length: frameCount(range) }, (_, i) => floatBelow(i / range.framesPerSecond));
  const scene: NamedMesh[] = [];
  const warnings: Problem[] = [];
  const wheels: (readonly Guide[])[][] = [];
  let facts: MovingFacts = { off: 0, where: undefined, joints: 0, shapes: 0, seconds: times[times.length - 1] };
  for (const [i, run] of runs.entries()) {
    const share = partOf(onProgress, (i / runs.length) * WORKING, ((i + 1) / runs.length) * WORKING);
    const followed = new FollowedRun(project, run, deriver, range);
    const known = (await options.kept?.read(run.id).catch(() => undefined)) as MadeRun | undefined;
    const made = known
      ? ok(known)
      : await bakeRun(project, followed, deriver, { ...options, onProgress: share }, times);
    if (!made.ok) return { ok: false, problems: made.problems.map((p) => about({ run: run.name }, p)) };
    if (!known) await options.kept?.write(run.id, made.value).catch(() => undefined); // then it is made anew another time
    share?.(1);
    const { objects, off, where, joints, shapes } = made.value;
    scene.push(...objects);
    if (off > facts.off) facts = { ...facts, off, where };
    facts = { ...facts, joints: facts.joints + joints, shapes: facts.shapes + shapes };
    warnings.push(...made.value.warnings);
    if (!guides) continue;
    wheels.push(await wheelsOverTime(followed, range));
    if (project.time.loops) warnings.push(...wheelWarnings(project, run, facts.seconds));
  }
  if (guides) {
    const moments = Array.from(times, (_, m) => [
      ...projectAt(project, frameTime(range, range.first + m)).guides.filter(({ visible }) => visible),
      ...wheels.flatMap((own) => own[m]),
    ]);
    scene.push(...(await movingGuides(moments, deriver, times)));
  }
  if (scene.length === 0) return fail('bake.empty', { runs: runs.length });
  const files = await writeGlb(scene, name, partOf(onProgress, WORKING, 1));
  return ok({ files, facts }, warnings);
}

/** `moving.wheels` of a belt whose wheels do not come to where they were after so many seconds. */
function wheelWarnings({ paths }: Project, { name, path, motion }: Run, seconds: number): readonly Problem[] {
  const curve = paths.find(({ id }) => id === path)!.curve;
  const angle = wheelsOffAfter(curve, motion.speed * seconds);
  return angle > LIKE ? [about({ run: name }, problem('moving.wheels', { angle }))] : [];
}

/** All courses of a run that show. */
async function bakeRun(
  project: Project,
  followed: FollowedRun,
  deriver: Deriver,
  { range, onProgress, ...manner }: MovingOptions,
  times: Times,
): Promise<Result<MadeRun>> {
  const { run } = followed;
  const total = { objects: [] as NamedMesh[], off: 0, where: undefined as string | undefined, joints: 0, shapes: 0 };
  if (!followed.moves) {
    const still = await bakeProject(project, deriver, { run: run.id, repeated: 'nodes', mayBeEmpty: true });
    return still.ok ? ok({ ...total, objects: still.value.scene, warnings: [] }) : still;
  }
  const derived = await followed.at(null);
  if (!derived.ok) return derived;
  const { courses } = derived.value;
  for (const [k, course] of courses.entries()) {
    if (!course.course.visible) continue;
    const input = followed.input(derived.value, k);
    const pieces = input.rest.pieces.length;
    if (pieces * input.moments > MOST_POSES) return fail('moving.too-long', { pieces, frames: input.moments });
    const name = courseObjectName(run.name, course, courses.length, project);
    const share = partOf(onProgress, k / courses.length, (k + 1) / courses.length);
    const made = await buildMovingCourse(name, course.pieces, input, times, manner, share);
    if (followed.problems.length > 0) return { ok: false, problems: followed.problems };
    total.objects.push(...made.objects);
    if (made.off > total.off) [total.off, total.where] = [made.off, name];
    total.joints += made.joints;
    total.shapes += made.shapes;
  }
  return ok({ ...total, warnings: followed.warnings });
}

/** The wheels that a run goes round, at each moment. */
async function wheelsOverTime(followed: FollowedRun, range: FrameRange): Promise<(readonly Guide[])[]> {
  const moments: (readonly Guide[])[] = [];
  for (let frame = range.first; frame <= range.last; frame++) {
    const time = frameTime(range, frame);
    const derived = await followed.at(time);
    moments.push(derived.ok ? wheelsAsGuides(followed.run, derived.value, time) : []);
  }
  return moments;
}
