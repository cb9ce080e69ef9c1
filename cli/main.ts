import { readFile, writeFile } from 'node:fs/promises';
import { dirname, resolve } from 'node:path';
import { bakeFiles, loadFrom } from '../src/engine/bake';
import { Deriver } from '../src/engine/derive';
import { problemWords } from '../src/engine/problem-words';
import { extensionOf } from '../src/formats/registry';
import { parseProjectFile } from '../src/project/project-file';
import { say, tell } from './say';
import { bakeSequence } from './sequence';
import { bakeOneMoving } from './moving';
import { writeFiles } from './write-files';
import { readArguments, USAGE, UsageError, type BakeArguments } from './arguments';

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
  if (args.range && args.moving) return bakeOneMoving(args, { project, deriver, target, name });
  if (args.range) {
    const problems = await bakeSequence(args, { project, deriver, target, name });
    return problems ? tell(file, problems) : 0;
  }
  const { run, guides, repeated, extension } = args;
  const baked = await bakeFiles(project, deriver, extension, name, { run, time, frames, guides, repeated });
  if (!baked.ok) return tell(file, baked.problems);
  for (const warning of baked.warnings) say(`rattan: ${file}: ${problemWords(warning)}`);
  await writeFiles(baked.value.files, target);
  if (report)
    await writeFile(report, JSON.stringify({ project: project.name, runs: baked.value.reports }, null, 2) + '\n');
  return 0;
}
