import { buildGuide } from '../core/guides/build-guide';
import { turned } from '../core/guides/guide-spec';
import { wheelsOffAfter } from '../core/guides/wheel-guides';
import { cross, distance, dot, type Vec3 } from '../core/math/vec3';
import { beltWheels } from '../core/curve/belt-wheels';
import { setMotion } from '../project/commands/motion';
import { manifoldOf } from '../core/testing/manifold';
import { buildArcTable } from '../core/curve/arc-table';
import { chordsAlong } from '../core/layout/chords';
import { compiled, unwrap } from '../core/testing/runs';
import { saltgrassLanding } from '../project/samples/saltgrass-landing';
import type { Project } from '../project/schema';
import { bakeProject, loadFrom } from './bake';
import { Deriver } from './derive';
import { buildSurface } from './mesh-surface';
import { sourceOf } from './run-source';
import { wheelsAsGuides } from './wheels-of';

const landing = saltgrassLanding();
const chain = landing.runs.find(({ name }) => name === 'Bucket chain')!;
const wheels = beltWheels(landing.paths.find(({ id }) => id === chain.path)!.curve);
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

  it('turn steadily from frame to frame, teeth too: a file that plays goes on between them', async () => {
    const [speed, step] = [0.3, 1 / 24];
    const project = setMotion(bucketsAt([0, 0, 0]), 'bucket-chain-run', { speed });
    const derived = unwrap(await deriver().derive(unwrap(sourceOf(project, project.runs[0]))));
    const turns = Array.from({ length: 60 }, (_, i) => wheelsAsGuides(project.runs[0], derived, i * step));
    wheels.forEach(({ radius, teeth = Infinity, way }, w) => {
      for (let i = 1; i < turns.length; i++) {
        const [a, b] = [turns[i - 1][w], turns[i][w]].map(({ turn }) => turned([1, 0, 0], turn)) as [Vec3, Vec3];
        const axle = turned([0, 1, 0], turns[i][w].turn);
        const angle = Math.atan2(dot(cross(a, b), axle), dot(a, b)) * way;
        // Links are chords, so that pins on a wheel go on a little unevenly.
        expect(Math.abs(angle - (speed * step) / radius)).toBeLessThan(
          teeth === Infinity ? 1e-9 : 0.1 * ((2 * Math.PI) / teeth),
        );
      }
    });
  });

  it('are off after a way that is no whole turn, where they have no teeth', () => {
    const { curve } = landing.paths.find(({ id }) => id === chain.path)!;
    const plain = wheels.find(({ teeth }) => teeth === undefined)!;
    expect(wheelsOffAfter(curve, 6 * Math.PI * plain.radius)).toBeCloseTo(0, 9);
    expect(wheelsOffAfter(curve, 6 * Math.PI * plain.radius + 0.3 * plain.radius)).toBeCloseTo(0.3, 9);
    expect(wheelsOffAfter(curve, -5.9 * Math.PI * plain.radius)).toBeCloseTo(0.1 * Math.PI, 9);
  });

  it('turn by the travel over the radius, the teeth with the pins', async () => {
    const project = setMotion(bucketsAt([0, 0, 0]), 'bucket-chain-run', { speed: 0.3 });
    const derived = unwrap(await deriver().derive(unwrap(sourceOf(project, project.runs[0]))));
    const at = (time: number) => wheelsAsGuides(project.runs[0], derived, time);
    const [before, after] = [at(0), at(0.5)];
    before.forEach((guide, i) => {
      const [a, b] = [guide, after[i]].map(({ turn }) => turned([1, 0, 0], turn)) as [Vec3, Vec3];
      const axle = turned([0, 1, 0], guide.turn);
      const angle = Math.atan2(dot(cross(a, b), axle), dot(a, b));
      const { radius, teeth } = wheels[i];
      // Teeth look alike after one of them.
      const off = teeth === undefined ? angle - 0.15 / radius : ((angle - 0.15 / radius) * teeth) / (2 * Math.PI);
      expect(Math.abs(off - Math.round(teeth === undefined ? 0 : off))).toBeLessThan(teeth === undefined ? 1e-9 : 0.02);
    });
  });
});

describe('links round a wheel that they hardly touch', () => {
  it('are all there wherever they are: 25 of them at three hundred places', () => {
    const { curve } = landing.paths.find(({ id }) => id === chain.path)!;
    const arc = buildArcTable(compiled(curve));
    const chords = chordsAlong(arc);
    for (let i = 0; i < 300; i++) {
      const { stations, pitch } = chords.closed(0.6, 1, { count: 25, shift: (i * arc.length) / 300 });
      expect(stations).toHaveLength(26);
      expect(Math.abs(pitch / 0.6 - 1)).toBeLessThan(0.01);
    }
  });
});
