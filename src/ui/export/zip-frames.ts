import { frameCount, type FrameRange } from '../../core/motion/frame-range';
import type { NamedBytes } from '../../formats/format';
import { bytesText, seconds } from '../format';

/** One frame after the other into a zip; `show` is told how far it is, and what it will come to by what it came to so far. */
export async function zipFrames(
  range: FrameRange,
  filesOf: (frame: number) => Promise<readonly NamedBytes[]>,
  show: (share: number, words: string) => void,
): Promise<Blob> {
  const { ZipStream } = await import('../../formats/zip-stream');
  const parts: BlobPart[] = [];
  let bytes = 0;
  const zip = new ZipStream((chunk) => {
    parts.push(chunk as Uint8Array<ArrayBuffer>);
    bytes += chunk.length;
  }, true);
  const began = performance.now();
  const count = frameCount(range);
  for (let done = 0; done < count; done++) {
    (await filesOf(range.first + done)).forEach((file) => zip.add(file));
    const left = ((performance.now() - began) / 1000 / (done + 1)) * (count - done - 1);
    const whole = (bytes / (done + 1)) * count;
    show((done + 1) / count, `${done + 1} of ${count} frames, about ${seconds(left)} left, ${bytesText(whole)} in all`);
  }
  zip.end();
  return new Blob(parts, { type: 'application/zip' });
}
