import validator from 'gltf-validator';
import { AnimationMixer, type Quaternion } from 'three';
import { GLTFLoader } from 'three/examples/jsm/loaders/GLTFLoader.js';
import { beltWheels } from '../core/curve/belt-wheels';
import type { MotionSpec } from '../core/motion/motion-spec';
import { unwrap } from '../core/testing/runs';
import { setKey } from '../project/commands/keys';
import { setMotion } from '../project/commands/motion';
import { setRule } from '../project/commands/runs';
import { causeway, saltgrassLanding } from '../project/samples';
import type { Project } from '../project/schema';
import { bakeMoving, type MovingOptions } from './bake-moving';
import { loadFrom } from './bake';
import { Deriver } from './derive';
import { hierarchyOf, ownAt, played } from './testing/played';

const deriver = new Deriver(loadFrom(new Map()));
/** Without images, which Node has no decoder for. */
const landing: Project = { ...saltgrassLanding(), keyed: [] };
const unfinished = (project: Project): Project => ({
  ...project,
  segments: project.segments.map((segment) => ({ ...segment, finishes: [] })),
  guides: project.guides.map(({ finish: _, ...guide }) => guide),
});
const plain = unfinished(landing);
const road = unfinished(setRule(causeway(), { run: causeway().runs[1].id }, { kind: 'onePiece' }));
const projectOf = (run: string): Project => (road.runs.some(({ name }) => name === run) ? road : plain);
const range = { first: 1, last: 25, framesPerSecond: 12 };

const moving = (run: string, motion: Partial<MotionSpec>, project = projectOf(run)): Project =>
  setMotion(project, project.runs.find(({ name }) => name === run)!.id, { after: null, begins: 0, ...motion });

const made = async (project: Project, options: Partial<MovingOptions> & { run: string }) =>
  unwrap(await bakeMoving(project, deriver, 'a', { by: 'joints', most: 60, range, ...options }));

/** How far a file's vertices are off the run's own surface, at eleven times. */
async function offAt(project: Project, run: string, bytes: Uint8Array, times: readonly number[]): Promise<number> {
  const all = (await played(bytes, times)).map((points) => points.filter((_, i) => i % 23 === 0));
  let worst = 0;
  for (const [i, points] of all.entries()) {
    const surface = hierarchyOf(await ownAt(deriver, project, run, times[i]));
    for (const point of surface ? points : []) worst = Math.max(worst, surface!.closestPointToPoint(point)!.distance);
  }
  return worst;
}

const stretch: Partial<MotionSpec> = { growth: { kind: 'stretchOut', seconds: 2 } };
const uncover: Partial<MotionSpec> = { growth: { kind: 'uncover', seconds: 2, tip: 0 } };
const tipped: Partial<MotionSpec> = { growth: { kind: 'uncover', seconds: 2, tip: 0.6 } };
const still: Partial<MotionSpec> = { growth: { kind: 'none' } };

describe('bakeMoving', () => {
  it.each<[string, string, Partial<MotionSpec>]>([
    ['a road that is drawn out', 'Causeway', stretch],
    ['a road that is uncovered from its middle', 'Causeway', { ...uncover, from: 'middle' }],
    ['a drain in one piece that is uncovered, with a tip', 'Kerb drain', tipped],
    ['a road that comes in and goes out', 'Causeway', { ...still, speed: 5 }],
    ['links that go round', 'Bucket chain', { ...still, speed: 0.4 }],
    ['a road that is laid one by one', 'Causeway', { growth: { kind: 'oneByOne', seconds: 2, each: 0.4, turn: 'station', come: 'fromAbove', height: 3 } }], // prettier-ignore
    ['a chain that is uncovered', 'Anchor chain', uncover],
  ])(
    '%s: passes the validator, and is off no more than it says, by three’s mixer at 11 times',
    async (_, run, motion) => {
      const project = moving(run, motion);
      for (const by of ['joints', 'shapes'] as const) {
        const { files, facts } = await made(project, { run, by, most: by === 'joints' ? 60 : 25 });
        // The Khronos glTF validator.
        const { issues } = await validator.validateBytes(files[0].bytes, { maxIssues: 5 });
        expect([run, by, issues.numErrors, issues.numWarnings, issues.messages.filter(({ severity }) => severity < 2).map(({ message }) => message)]).toEqual([run, by, 0, 0, []]); // prettier-ignore
        // Pieces that come one by one do so from frame to frame: there they are looked at.
        const comes = motion.growth?.kind === 'oneByOne' || (motion.speed ?? 0) > 0;
        const times = Array.from({ length: 11 }, (_time, i) => (comes ? Math.round(2.4 * i) / 12 : 0.2 * i));
        const off = await offAt(project, run, files[0].bytes, times);
        expect(off).toBeLessThanOrEqual(facts.off + 2e-5);
      }
    },
    60_000,
  );

  it('follows a path whose points have keys, on joints as close as it says', async () => {
    const { id } = road.paths[0];
    const of = ['paths', id, 'curve', 'points', '2', 'position'];
    const [x, y, z] = road.paths[0].curve.points[2].position;
    const run = 'Kerb drain';
    const project = setKey(setKey(moving(run, still), of, 0), of, 1.5, [x + 6, y + 3, z - 4]);
    const { files, facts } = await made(project, { run, most: 60 });
    const times = [0, 0.35, 0.8, 1.2, 1.5, 2];
    expect(await offAt(project, run, files[0].bytes, times)).toBeLessThan(facts.off);
    const fine = await made(project, { run, most: 240 });
    // Between joints it is off as the square of their distance.
    expect(fine.facts.off).toBeLessThan(facts.off / 8);
    expect(await offAt(project, run, fine.files[0].bytes, times)).toBeLessThan(fine.facts.off);
  });

  it('turns wheels by the travel over their radius, and writes guides that stand where they stand', async () => {
    const project = moving('Bucket chain', { ...still, speed: 0.4 });
    const wheel = plain.paths.find(({ id }) => id === plain.runs.find((r) => r.name === 'Bucket chain')!.path)!.curve;
    const { files } = await made(project, { run: 'Bucket chain', guides: true });
    const { scene, animations } = await new GLTFLoader().parseAsync(files[0].bytes.slice().buffer, '');
    const mixer = new AnimationMixer(scene);
    mixer.clipAction(animations[0]).play();
    const turnAt = (time: number, name: RegExp): Quaternion => {
      mixer.setTime(time);
      const found: Quaternion[] = [];
      scene.traverse((node) => name.test(node.name) && found.push(node.quaternion.clone()));
      return found[0];
    };
    const own = /wheel_1,_piece_1$/;
    const radius = beltWheels(wheel)[0].radius;
    // Toothed wheels go by their pins, which do not lie evenly on the bend: from pin to pin it is the same.
    expect(turnAt(0, own).angleTo(turnAt(1, own))).toBeCloseTo(0.4 / radius, 1);
    let masts = 0;
    scene.traverse(({ name }) => (masts += name === 'Signal_mast' ? 1 : 0));
    expect(masts).toBe(1);
  });

  it('tells of what such a file cannot hold', async () => {
    const { runs, segments } = road;
    const length = ['segments', segments[0].id, 'source', 'spec', 'length'];
    const keyed = setKey(setKey(road, length, 0), length, 1, 6);
    const told = await bakeMoving(keyed, deriver, 'a', { by: 'joints', most: 9, range, run: runs[0].id });
    expect(told.ok && told.warnings.map(({ code }) => code)).toContain('moving.remade');
    const reach = ['runs', runs[0].id, 'reach', 'to'];
    const shrinking = setKey(setKey(road, reach, 0, 128), reach, 2, 20);
    const less = await bakeMoving(shrinking, deriver, 'a', { by: 'joints', most: 9, range, run: runs[0].id });
    expect(less.ok && less.warnings).toEqual([{ code: 'moving.pieces', path: [], facts: { run: 'Causeway' } }]);
    const none = await bakeMoving(road, deriver, 'a', { by: 'joints', most: 9, range, run: 'Nobody' });
    expect(!none.ok && none.problems[0].code).toBe('run.unknown');
  });

  it('takes runs that were worked out before as they were, and keeps the others', async () => {
    const [a, b] = road.runs;
    const store = new Map<string, unknown>();
    let reads = 0;
    const kept = {
      read: (run: string) => Promise.resolve((reads++, store.get(run))),
      write(run: string, what: unknown) {
        structuredClone(what); // what a browser keeps it by
        return Promise.resolve(void store.set(run, what));
      },
    };
    const options = { by: 'joints', most: 9, range: { ...range, last: 5 }, kept } as const;
    const first = unwrap(await bakeMoving(road, deriver, 'a', options));
    expect([...store.keys()]).toEqual([a.id, b.id]);
    const shares: number[] = [];
    const again = unwrap(
      await bakeMoving(road, deriver, 'a', { ...options, onProgress: (share) => shares.push(share) }),
    );
    expect(reads).toBe(4);
    expect(again.files[0].bytes).toEqual(first.files[0].bytes);
    expect(again.facts).toEqual(first.facts);
    expect(shares.slice(0, 2)).toEqual([0.4, 0.8]); // nothing was worked out in between
  });
});
