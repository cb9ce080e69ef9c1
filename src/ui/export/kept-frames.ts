import type { NamedBytes } from '../../formats/format';
import { keepFrame, keptFrame } from '../../project/storage/unfinished';

/** The files of a frame: those that are kept of it, or made now and kept. Where nothing can be kept they are made all the same. */
export async function frameFiles(
  frame: number,
  make: () => Promise<readonly NamedBytes[]>,
): Promise<readonly NamedBytes[]> {
  const kept = await keptFrame(frame).catch(() => undefined);
  if (kept)
    return Promise.all(kept.map(async ({ name, blob }) => ({ name, bytes: new Uint8Array(await blob.arrayBuffer()) })));
  const files = await make();
  const blobs = files.map(({ name, bytes }) => ({ name, blob: new Blob([bytes as Uint8Array<ArrayBuffer>]) }));
  await keepFrame(frame, blobs).catch(() => undefined);
  return files;
}
