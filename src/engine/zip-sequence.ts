import { fail, ok, type Result } from '../core/math/result';
import type { FrameRange } from '../core/motion/frame-range';
import { ZipStream } from '../formats/zip-stream';
import type { Project } from '../project/schema';
import type { BakeOptions } from './bake';
import { bakeFrame } from './bake-sequence';
import type { Deriver } from './derive';

/** Bytes of a sequence that is answered, at the most. */
const MOST_BYTES = 512 * 1024 * 1024;

/** A sequence as one zip. Problems: `bake.too-large`, and those of its frames. */
export async function zipSequence(
  project: Project,
  deriver: Deriver,
  { extension, range }: { readonly extension: string; readonly range: FrameRange },
  options: BakeOptions,
): Promise<Result<Uint8Array>> {
  const chunks: Uint8Array[] = [];
  let bytes = 0;
  const zip = new ZipStream((chunk) => {
    chunks.push(chunk);
    bytes += chunk.length;
  });
  for (let frame = range.first; frame <= range.last; frame++) {
    const baked = await bakeFrame(project, deriver, { extension, name: 'rattan', range }, frame, options);
    if (!baked.ok) return baked;
    baked.value.forEach((file) => zip.add(file));
    if (bytes > MOST_BYTES) return fail('bake.too-large');
  }
  zip.end();
  return ok(Buffer.concat(chunks));
}
