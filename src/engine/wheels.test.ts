import { buildGuide } from '../core/guides/build-guide';
import { distance, type Vec3 } from '../core/math/vec3';
import { manifoldOf } from '../core/testing/manifold';
import { unwrap } from '../core/testing/runs';
import { saltgrassLanding } from '../project/samples/saltgrass-landing';
import type { Project } from '../project/schema';
import { bakeProject, loadFrom } from './bake';
import { Deriver } from './derive';
import { buildSurface } from './mesh-surface';
import { sourceOf } from './run-source';
import { wheelsAsGuides } from './wheels-of';

const landing = saltgrassLanding();
const deriver = () => new Deriver(loadFrom(new Map()));

/** The bucket chain, its path moved by so many metres. */
function bucketsAt(by: Vec3): Project {
  const run = landing.runs.find(({ name }) => name === 'Bucket chain')!;
  const paths = landing.paths.map((path) => {
    if (path.id !== run.path) return path;
    const points = path.curve.points.map((point) => ({
      ...point,
      position: point.position.map((v, c) => v + by[c]) as unknown as Vec3,
    }));
    return { ...path, curve: { ...path.curve, points } };
  });
  return { ...landing, paths, guides: [], runs: [run] };
}

describe('the wheels of a belt', () => {
  it.each([{ by: [0, 0, 0] as Vec3 }, { by: [3e4, 20, -5e4] as Vec3 }])(
    'have their teeth between the pins: seats of 0.505 pin diameters touch each pin on them, moved by $by',
    async ({ by }) => {
      const project = bucketsAt(by);
      const derived = unwrap(await deriver().derive(unwrap(sourceOf(project, project.runs[0]))));
      const { pins, pitch } = derived.courses[0].laid.layout.pinned!;
      const guides = wheelsAsGuides(project.runs[0], derived);
      expect(guides.length).toBe(project.paths.find(({ id }) => id === project.runs[0].path)!.curve.points.length);
      const toothed = guides.filter(({ shape }) => shape.from === 'body' && shape.kind === 'toothedWheel');
      expect(toothed.length).toBe(2);
      for (const guide of toothed) {
        // About the wheel itself: far out 32-bit numbers are coarse.
        const surface = buildSurface(buildGuide({ ...guide, position: [0, 0, 0] }));
        const gaps = Array.from({ length: pins.length / 3 }, (_, i) => {
          const own = [0, 1, 2].map((c) => pins[i * 3 + c] - guide.position[c]) as unknown as Vec3;
          return distance(own, [0, 0, 0]) < 2 * pitch + 4 ? surface.nearest(own)!.distance : Infinity;
        });
        const seat = 0.505 * 0.5 * pitch; // ISO 606, from memory; pins are half a pitch thick
        const touching = gaps.filter((gap) => Math.abs(gap / seat - 1) < 0.02);
        expect(touching.length).toBeGreaterThan(2);
        expect(Math.min(...gaps) / seat).toBeGreaterThan(0.98);
      }
    },
  );

  it('are solids that a file holds when guides are asked for', async () => {
    const project = bucketsAt([0, 0, 0]);
    const { scene } = unwrap(await bakeProject(project, deriver(), { guides: true }));
    const wheels = scene.filter(({ name }) => name.includes('wheel'));
    expect(wheels.map(({ name }) => name)).toEqual([1, 2, 3].map((i) => `Bucket chain, wheel ${i}`));
    for (const { mesh } of wheels) expect((await manifoldOf(mesh)).volume()).toBeGreaterThan(0.01);
    expect(unwrap(await bakeProject(project, deriver())).scene.length).toBe(1);
  });
});
