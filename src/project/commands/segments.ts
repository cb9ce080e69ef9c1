import { maker, pitchGap, type MakerName, type MakerSpec } from '../../core/segment/registry';
import type { FinishSpec } from '../../core/segment/finish/finish-spec';
import type { PrepareSpec } from '../../core/segment/segment-spec';
import type { Project, Run, Segment } from '../schema';

export const addSegment = (project: Project, segment: Segment): Project => ({
  ...project,
  segments: [...project.segments, segment],
});

const changeSegment = (project: Project, id: string, change: Partial<Segment>): Project => ({
  ...project,
  segments: project.segments.map((segment) => (segment.id === id ? { ...segment, ...change } : segment)),
});

/** Gives a made segment other numbers or another maker; a name that only said the maker follows, and a gap that only kept its pitch. */
export function setMaker(project: Project, id: string, spec: MakerSpec): Project {
  const segment = project.segments.find((s) => s.id === id);
  const before = segment?.source.from === 'maker' ? maker(segment.source.spec.kind as MakerName).label : undefined;
  const name = segment?.name === before ? { name: maker(spec.kind).label } : {};
  const changed = changeSegment(project, id, { source: { from: 'maker', spec }, ...name });
  const gapBefore = segment?.source.from === 'maker' ? (pitchGap(segment.source.spec as MakerSpec) ?? 0) : 0;
  const gap = pitchGap(spec) ?? 0;
  if (gap === gapBefore) return changed;
  const follows = (run: Run) => run.segment === id && Math.abs(run.laying.gap - gapBefore) < 1e-9;
  return {
    ...changed,
    runs: changed.runs.map((run) => (follows(run) ? { ...run, laying: { ...run.laying, gap } } : run)),
  };
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
