// What motion costs: the sample played by the core, ways in which a file moves, and a long sequence.
import { bakeFrame } from '../src/engine/bake-sequence';
import { bakeMoving } from '../src/engine/bake-moving';
import { loadFrom } from '../src/engine/bake';
import { Deriver } from '../src/engine/derive';
import { sourceOf } from '../src/engine/run-source';
import { RunViewer } from '../src/engine/run-viewer';
import type { Versions } from '../src/engine/facets';
import { ZipStream } from '../src/formats/zip-stream';
import { projectAt } from '../src/project/keys/project-at';
import { saltgrassLanding } from '../src/project/samples';

const FRAMES_PER_SECOND = 24;
const landing = saltgrassLanding();
const megabytes = (bytes: number) => `${(bytes / 2 ** 20).toFixed(1)} MB`;

/** `say` prints a line for a claim. */
export async function benchmarkMotion(say: (name: string, text: string) => void): Promise<void> {
  await played(say);
  await files(say);
  await sequence(say);
}

/** Every run of the sample by itself, twice through its time: the second time what was cut is kept. */
async function played(say: (name: string, text: string) => void): Promise<void> {
  for (const run of landing.runs) {
    const deriver = new Deriver(loadFrom(new Map()));
    const viewer = new RunViewer(deriver, 'motion:');
    let held: Partial<Versions> = {};
    const times = Array.from({ length: 48 }, (_, i) => (i * 4) / FRAMES_PER_SECOND);
    const through = async () => {
      const start = performance.now();
      for (const time of times) {
        const source = sourceOf(projectAt(landing, time), run);
        if (!source.ok) throw new Error('no source');
        const seen = await viewer.view({ run: run.id, source: source.value, time, held });
        if (seen.ok) held = seen.value.versions;
      }
      return (performance.now() - start) / times.length;
    };
    const [first, again] = [await through(), await through()];
    say(`${run.name} played by the core`, `${(1000 / first).toFixed(0)} frames a second, ${(first / again).toFixed(2)} times as many again`); // prettier-ignore
  }
}

async function files(say: (name: string, text: string) => void): Promise<void> {
  const range = { first: 1, last: 97, framesPerSecond: FRAMES_PER_SECOND };
  for (const run of ['Causeway', 'Bilge hose', 'Honeysuckle']) {
    for (const [by, most] of [
      ['joints', 32],
      ['joints', 128],
      ['shapes', 12],
      ['shapes', 48],
    ] as const) {
      // prettier-ignore
      const start = performance.now();
      const made = await bakeMoving(landing, new Deriver(loadFrom(new Map())), 'a', { by, most, range, run });
      if (!made.ok) throw new Error(made.problems[0].code);
      const { files: written, facts } = made.value;
      const took = ((performance.now() - start) / 1000).toFixed(1);
      say(`${run}, four seconds on ${most} ${by}`, `${megabytes(written[0].bytes.length)}, off by up to ${(facts.off * 1000).toFixed(1)} mm, in ${took} s`); // prettier-ignore
    }
  }
}

async function sequence(say: (name: string, text: string) => void): Promise<void> {
  const deriver = new Deriver(loadFrom(new Map()));
  const range = { first: 1, last: 300, framesPerSecond: FRAMES_PER_SECOND };
  const start = performance.now();
  let [bytes, most] = [0, 0];
  const zip = new ZipStream((chunk) => (bytes += chunk.length));
  for (let frame = range.first; frame <= range.last; frame++) {
    const made = await bakeFrame(landing, deriver, { extension: 'glb', name: 'a', range }, frame, { run: 'Causeway' });
    if (!made.ok) throw new Error(made.problems[0].code);
    for (const file of made.value) zip.add(file);
    most = Math.max(most, process.memoryUsage().rss);
  }
  zip.end();
  const took = (performance.now() - start) / 1000;
  say('a sequence of 300 frames of the causeway, zipped', `${took.toFixed(1)} s, ${megabytes(bytes)}, at most ${megabytes(most)} of memory`); // prettier-ignore
}
