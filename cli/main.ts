import { open, readFile, writeFile } from 'node:fs/promises';
import { dirname, join, resolve } from 'node:path';
import { bakeFiles, loadFrom } from '../src/engine/bake';
import { bakeFrame } from '../src/engine/bake-sequence';
import { Deriver } from '../src/engine/derive';
import { problemWords } from '../src/engine/problem-words';
import type { Problem } from '../src/core/math/result';
import type { FrameRange } from '../src/core/motion/frame-range';
import type { NamedBytes } from '../src/formats/format';
import { extensionOf } from '../src/formats/registry';
import { ZipStream } from '../src/formats/zip-stream';
import { parseProjectFile } from '../src/project/project-file';
import type { Project } from '../src/project/schema';
import { readArguments, USAGE, UsageError, type BakeArguments } from './arguments';

const say = (text: string) => process.stderr.write(`${text}\n`);

/** Runs the command line; returns the exit code: 0 done, 1 failed, 2 not understood. */
export async function main(args: readonly string[]): Promise<number> {
  if (args.includes('--help') || args.includes('-h')) {
    process.stdout.write(USAGE);
    return 0;
  }
  try {
    return await bake(readArguments(args));
  } catch (error) {
    if (error instanceof UsageError) {
      say(`rattan: ${error.message}\n\n${USAGE}`);
      return 2;
    }
    say(`rattan: ${error instanceof Error ? error.message : String(error)}`);
    return 1;
  }
}

async function bake(args: BakeArguments): Promise<number> {
  const { project: file, out, time, report, frames } = args;
  const opened = await parseProjectFile(await readFile(file, 'utf8'));
  if (!opened.ok) return tell(file, opened.problems);
  for (const warning of opened.warnings) say(`rattan: ${file}: ${problemWords(warning)}`);
  const { project, assets } = opened.value;
  const target = resolve(out);
  const name = target.slice(dirname(target).length + 1, -(extensionOf(out).length + 1));
  const deriver = new Deriver(loadFrom(assets), async (id) => assets.get(id));
  if (args.range) return sequence(args, { project, deriver, target, name });
  const { run, guides, repeated, extension } = args;
  const baked = await bakeFiles(project, deriver, extension, name, { run, time, frames, guides, repeated });
  if (!baked.ok) return tell(file, baked.problems);
  for (const warning of baked.warnings) say(`rattan: ${file}: ${problemWords(warning)}`);
  await writeFiles(baked.value.files, target);
  if (report)
    await writeFile(report, JSON.stringify({ project: project.name, runs: baked.value.reports }, null, 2) + '\n');
  return 0;
}

/** The first file as `target`, the others beside it under their own names. */
async function writeFiles([first, ...beside]: readonly NamedBytes[], target: string): Promise<void> {
  await writeFile(target, first.bytes);
  for (const { name, bytes } of beside) await writeFile(join(dirname(target), name), bytes);
}

interface Opened {
  readonly project: Project;
  readonly deriver: Deriver;
  readonly target: string;
  readonly name: string;
}

/** One frame after the other, each written before the next is worked out. */
async function sequence(
  { project: file, range: asked, extension, out, run, guides, repeated }: BakeArguments,
  { project, deriver, target, name }: Opened,
): Promise<number> {
  const range: FrameRange = { framesPerSecond: project.time.framesPerSecond, ...asked! };
  const isZip = extensionOf(out) === 'zip';
  const handle = isZip ? await open(target, 'w') : undefined;
  let chunks: Uint8Array[] = [];
  const zip = new ZipStream((chunk) => chunks.push(chunk));
  const flush = async () => {
    for (const chunk of chunks) await handle?.write(chunk);
    chunks = [];
  };
  try {
    for (let frame = range.first; frame <= range.last; frame++) {
      const made = { extension, name, range };
      const baked = await bakeFrame(project, deriver, made, frame, { run, guides, repeated });
      if (!baked.ok) return tell(file, baked.problems);
      if (!isZip) {
        const [{ name: own }] = baked.value;
        await writeFiles(baked.value, join(dirname(target), own));
        continue;
      }
      baked.value.forEach((each) => zip.add(each));
      await flush();
    }
    zip.end();
    await flush();
    return 0;
  } finally {
    await handle?.close();
  }
}

function tell(file: string, problems: readonly Problem[]): number {
  for (const problem of problems) say(`rattan: ${file}: ${problemWords(problem)}`);
  return 1;
}
