import { emptyProject, type Path, type Project, type Run, type Segment } from '../schema';
import { maker, pitchGap, type MakerName } from '../../core/segment/registry';
import { COURSE_DEFAULTS, JOB_DEFAULTS, MADE_PREPARE, makerDefaults, newCourse } from '../defaults';
import type { SetParts } from './run-set';

/** A path that is still to be drawn. */
export const UNDRAWN: Path['curve'] = { kind: 'smooth', closed: false, points: [] };

/** A run with these courses along a path, by their ids. */
export const runOfParts = (id: string, name: string, path: string, { courses, frames }: SetParts): Run => ({
  ...{ id, name, visible: true, path, ...JOB_DEFAULTS },
  shape: { ...JOB_DEFAULTS.shape, ...(frames && { frames }) },
  courses,
});

/** A project of one run with these parts. */
export const projectOfParts = (name: string, parts: SetParts, curve = parts.curve ?? UNDRAWN): Project => ({
  ...emptyProject(name),
  segments: parts.segments,
  paths: [{ id: 'path', name: `${name} path`, curve }],
  runs: [runOfParts('run', name, 'path', parts)],
});

/** A segment, and one course of it that fills its path. */
export const partsOfSegment = (segment: Segment, gap = 0): SetParts => ({
  segments: [segment],
  courses: [newCourse(segment.id, { laying: { ...COURSE_DEFAULTS.laying, rule: { kind: 'fillStretch', gap } } })],
});

/** A maker's segment as it begins, and one course of it. */
export function partsOfMaker(kind: MakerName, id: string): SetParts {
  const spec = makerDefaults(kind);
  const source = { from: 'maker', spec } as const;
  const segment = { id, name: maker(kind).label, source, prepare: MADE_PREPARE, finishes: [] };
  return partsOfSegment(segment, pitchGap(spec));
}
