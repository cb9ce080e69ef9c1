import { unwrap } from '../../core/testing/runs';
import { bakeProject, loadFrom } from '../../engine/bake';
import { Deriver } from '../../engine/derive';
import { sourceOf } from '../../engine/run-source';
import { openProject } from '../project-file';
import { smallSamples } from '.';

const deriver = new Deriver(loadFrom(new Map()));

describe('the small samples', () => {
  it('are one a job, each with something to try', () => {
    const names = smallSamples().map(({ name }) => name);
    expect(names.length).toBe(8);
    expect(new Set(names).size).toBe(names.length);
    for (const { tryThis } of smallSamples()) expect(tryThis.length).toBeGreaterThan(30);
  });

  it.each(smallSamples().map((own) => [own.name, own.project] as const))('%s opens, is laid without a finding and can be baked', async (_, project) => {
    const opened = unwrap(openProject(JSON.parse(JSON.stringify(project))));
    const derived = unwrap(await deriver.derive(unwrap(sourceOf(opened, opened.runs[0]))));
    expect(derived.findings()).toEqual([]);
    expect(derived.courses[0].laid.layout.placements.length).toBeGreaterThan(0);
    expect(unwrap(await bakeProject(opened, deriver, {})).scene.length).toBe(opened.runs[0].courses.length);
  }); // prettier-ignore
});
