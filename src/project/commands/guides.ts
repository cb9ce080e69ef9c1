import type { PlainFinish } from '../../core/segment/finish/finish-spec';
import type { Guide, Project } from '../schema';

export const addGuide = (project: Project, guide: Guide): Project => ({
  ...project,
  guides: [...project.guides, guide],
});

export const changeGuide = (project: Project, id: string, change: Partial<Guide>): Project => ({
  ...project,
  guides: project.guides.map((guide) => (guide.id === id ? { ...guide, ...change } : guide)),
});

/** How a guide looks; `undefined` = pale, seen through. */
export const setGuideFinish = (project: Project, id: string, finish: PlainFinish | undefined): Project => ({
  ...project,
  guides: project.guides.map((guide) => {
    if (guide.id !== id) return guide;
    const { finish: before, ...pale } = guide;
    return finish ? { ...pale, finish } : pale;
  }),
});

/** Takes a guide away; runs that sat on it no longer name it. */
export const deleteGuide = (project: Project, id: string): Project => ({
  ...project,
  guides: project.guides.filter((guide) => guide.id !== id),
  runs: project.runs.map((run) => {
    if (run.shape.frames.guide !== id) return run;
    const { guide, ...frames } = run.shape.frames;
    return { ...run, shape: { ...run.shape, frames } };
  }),
});
