import { open } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import type { Problem } from '../src/core/math/result';
import type { FrameRange } from '../src/core/motion/frame-range';
import { bakeFrame } from '../src/engine/bake-sequence';
import type { Deriver } from '../src/engine/derive';
import { extensionOf } from '../src/formats/registry';
import { ZipStream } from '../src/formats/zip-stream';
import type { Project } from '../src/project/schema';
import type { BakeArguments } from './arguments';
import { writeFiles } from './write-files';

export interface Opened {
  readonly project: Project;
  readonly deriver: Deriver;
  readonly target: string;
  readonly name: string;
}

/** One frame after the other, each written before the next is worked out; what went wrong, if anything did. */
export async function bakeSequence(
  { range: asked, extension, out, run, guides, repeated }: BakeArguments,
  { project, deriver, target, name }: Opened,
): Promise<readonly Problem[] | undefined> {
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
      if (!baked.ok) return baked.problems;
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
    return undefined;
  } finally {
    await handle?.close();
  }
}
