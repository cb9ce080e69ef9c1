import { maker, pitchGap, type MakerName, type MakerSpec } from '../../core/segment/registry';
import type { FinishSpec } from '../../core/segment/finish/finish-spec';
import type { PrepareSpec } from '../../core/segment/segment-spec';
import { changeRun, freeName } from './runs';
import { laysSegment, type Course, type Project, type Segment } from '../schema';

export const addSegment = (project: Project, segment: Segment): Project => ({
  ...project,
  segments: [...project.segments, segment],
});

const changeSegment = (project: Project, id: string, change: Partial<Segment>): Project => ({
  ...project,
  segments: project.segments.map((segment) => (segment.id === id ? { ...segment, ...change } : segment)),
});

/** Another maker's numbers to begin with, and of those of before what both have: lengths, radii, how smooth. */
export function makerLike(kind: MakerName, before: Readonly<Record<string, unknown>>): MakerSpec {
  const { schema, defaults } = maker(kind);
  return Object.keys(defaults as object).reduce((spec, key) => {
    if (key === 'kind' || before[key] === undefined) return spec;
    const read = schema.safeParse({ ...spec, [key]: before[key] });
    return read.success && maker(kind).problem?.(read.data) === undefined ? (read.data as MakerSpec) : spec;
  }, defaults as MakerSpec);
}

/** Runs whose name only said their segment's follow it: "Rope", "Rope 2". */
export function renameAlong(project: Project, segment: string, before: string, after: string): Project {
  return project.runs.reduce((changed, run) => {
    const isOwn =
      laysSegment(run, segment) && run.name.startsWith(before) && /^( \d+)?$/.test(run.name.slice(before.length));
    if (!isOwn || before === after) return changed;
    const others = { ...changed, runs: changed.runs.filter(({ id }) => id !== run.id) };
    return changeRun(changed, run.id, { name: freeName(others, after) });
  }, project);
}

/** Gives a made segment other numbers or another maker; a name that only said the maker follows, and a gap that only kept its pitch. */
export function setMaker(project: Project, id: string, spec: MakerSpec): Project {
  const segment = project.segments.find((s) => s.id === id);
  const before = segment?.source.from === 'maker' ? maker(segment.source.spec.kind).label : undefined;
  const name = segment?.name === before ? { name: maker(spec.kind).label } : {};
  const named = before === undefined ? project : renameAlong(project, id, before, maker(spec.kind).label);
  const changed = changeSegment(named, id, { source: { from: 'maker', spec }, ...name });
  const gapBefore = segment?.source.from === 'maker' ? (pitchGap(segment.source.spec) ?? 0) : 0;
  const gap = pitchGap(spec) ?? 0;
  if (gap === gapBefore) return changed;
  const followed = (course: Course): Course => {
    const { rule } = course.laying;
    const follows = course.segment === id && 'gap' in rule && Math.abs(rule.gap - gapBefore) < 1e-9;
    return follows ? { ...course, laying: { ...course.laying, rule: { ...rule, gap } } } : course;
  };
  return { ...changed, runs: changed.runs.map((run) => ({ ...run, courses: run.courses.map(followed) })) };
}

export function setPrepare(project: Project, id: string, change: Partial<PrepareSpec>): Project {
  const segment = project.segments.find((s) => s.id === id);
  return segment ? changeSegment(project, id, { prepare: { ...segment.prepare, ...change } }) : project;
}

/** Puts a finish on a part, in place of the one it had. */
export function setFinish(project: Project, id: string, finish: FinishSpec): Project {
  const segment = project.segments.find((s) => s.id === id);
  const others = segment?.finishes.filter(({ part }) => part !== finish.part) ?? [];
  return changeSegment(project, id, { finishes: [...others, finish] });
}

/** Lets a part look as the segment brings it. */
export function clearFinish(project: Project, id: string, part: string): Project {
  const segment = project.segments.find((s) => s.id === id);
  return changeSegment(project, id, { finishes: segment?.finishes.filter((f) => f.part !== part) ?? [] });
}
