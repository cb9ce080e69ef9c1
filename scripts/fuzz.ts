// Reads damaged files of every kind and tells of throws, hangs and memory: npm run fuzz [cases a reader] [first seed].
import { join } from 'node:path';
import { Piscina } from 'piscina';
import type { FuzzCase, FuzzOutcome } from '../src/formats/testing/fuzz-case';
import { goodFiles } from '../src/formats/testing/good-files';

const count = Number(process.argv[2] ?? 2500);
const firstSeed = Number(process.argv[3] ?? 1);
const HANGS_AFTER = 5000;
/** What a process may grow by beside ten times the file: the reader's own code, and garbage not yet collected. */
const BESIDE = 96 * 1024 * 1024;

const pool = new Piscina({ filename: join(import.meta.dirname, 'fuzz-thread.mjs'), minThreads: 1, maxThreads: 1 });
const { meshes, paths } = await goodFiles();
let isSound = true;
for (const [what, files] of [
  ['mesh', meshes],
  ['path', paths],
] as const)
  // prettier-ignore
  for (const file of files) {
    const told = new Map<string, string>();
    const tell = (kind: string, seed: number, text: string) => told.set(`${kind} ${text.slice(0, 160)}`, `${kind} at seed ${seed}: ${text}`);
    let [read, slowest] = [0, 0];
    await pool.run({ what, file, seed: 0 });
    for (let seed = firstSeed; seed < firstSeed + count; seed++) {
      const signal = AbortSignal.timeout(HANGS_AFTER);
      try {
        const outcome = (await pool.run({ what, file, seed } satisfies FuzzCase, { signal })) as FuzzOutcome;
        if (outcome.threw) tell('throws', seed, outcome.threw);
        if (outcome.grown > 10 * outcome.bytes + BESIDE) tell('memory', seed, `${Math.round(outcome.grown / 1048576)} MB for ${outcome.bytes} bytes`);
        if (outcome.isRead) read++;
        slowest = Math.max(slowest, outcome.milliseconds);
      } catch (error) {
        tell(signal.aborted ? 'hangs' : 'dies', seed, signal.aborted ? '' : String(error));
        await pool.run({ what, file, seed: 0 });
      }
    }
    isSound &&= told.size === 0;
    console.log(`${file.name} as ${what}: ${count} damaged, ${read} still read, slowest ${Math.round(slowest)} ms, ${told.size} faults`);
    for (const text of told.values()) console.log(`  ${text}`);
  }
await pool.destroy();
process.exit(isSound ? 0 : 1);
