import type { MakerSpec } from '../../core/segment/registry';
import type { PrepareSpec } from '../../core/segment/segment-spec';
import type { Project, Segment } from '../schema';

export const addSegment = (project: Project, segment: Segment): Project => ({
  ...project,
  segments: [...project.segments, segment],
});

const changeSegment = (project: Project, id: string, change: Partial<Segment>): Project => ({
  ...project,
  segments: project.segments.map((segment) => (segment.id === id ? { ...segment, ...change } : segment)),
});

export const setMaker = (project: Project, id: string, spec: MakerSpec): Project =>
  changeSegment(project, id, { source: { from: 'maker', spec } });

export function setPrepare(project: Project, id: string, change: Partial<PrepareSpec>): Project {
  const segment = project.segments.find((s) => s.id === id);
  return segment ? changeSegment(project, id, { prepare: { ...segment.prepare, ...change } }) : project;
}
