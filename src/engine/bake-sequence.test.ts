import validator from 'gltf-validator';
import { unwrap } from '../core/testing/runs';
import { setMotion } from '../project/commands/motion';
import { saltgrassLanding } from '../project/samples';
import { frameTime } from '../core/motion/frame-range';
import { bakeProject, loadFrom } from './bake';
import { bakeFrame } from './bake-sequence';
import { Deriver } from './derive';

const range = { first: 1, last: 193, framesPerSecond: 24 };
const made = { extension: 'glb', name: 'a', range };
const landing = saltgrassLanding();
const deriver = new Deriver(loadFrom(new Map()));
const frameOf = async (run: string, frame: number, project = landing) =>
  unwrap(await bakeFrame(project, deriver, made, frame, { run, repeated: 'nodes' }))[0].bytes;

describe('bakeFrame', () => {
  // The Khronos glTF validator.
  it.each([1, 40, 100])(
    'makes files that the validator passes, with nothing there yet and half grown: frame %i',
    async (frame) => {
      for (const run of ['Causeway', 'Honeysuckle', 'Beacon stair', 'Anchor chain', 'Bucket chain']) {
        const { issues } = await validator.validateBytes(await frameOf(run, frame), { maxIssues: 0 });
        expect([run, issues.numErrors, issues.numWarnings]).toEqual([run, 0, 0]);
      }
    },
  );

  it('comes back to where it began: the frame after the last of a loop is the first', async () => {
    const placesAt = async (frame: number) => {
      const time = frameTime(range, frame);
      const { scene } = unwrap(await bakeProject(landing, deriver, { run: 'Bucket chain', time }));
      const { positions } = scene[0].mesh;
      const place = (v: number) => [0, 1, 2].map((c) => positions[v * 3 + c].toFixed(3)).join();
      return new Set(Array.from({ length: positions.length / 3 }, (_, v) => place(v)));
    };
    const [first, again, other] = await Promise.all([1, 193, 100].map(placesAt));
    const shared = (a: Set<string>, b: Set<string>) => [...a].filter((place) => b.has(place)).length / a.size;
    expect(shared(first, again)).toBeGreaterThan(0.95); // the rest is rounded the other way
    expect(shared(first, other)).toBeLessThan(0.05);
  });

  it('is another file when the motion is another', async () => {
    const slow = setMotion(landing, 'honeysuckle-run', { growth: { kind: 'uncover', seconds: 60, tip: 0 } });
    expect((await frameOf('Honeysuckle', 60, slow)).length).toBeLessThan((await frameOf('Honeysuckle', 60)).length);
  });
});
