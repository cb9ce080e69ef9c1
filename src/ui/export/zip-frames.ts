import { frameCount, type FrameRange } from '../../core/motion/frame-range';
import type { NamedBytes } from '../../formats/format';
import { bytesText, seconds } from '../format';

/** How far it is, and what is left, by what it took and came to so far; `began` = milliseconds of the page. */
export function leftWords(done: number, count: number, began: number, bytes: number): string {
  const left = ((performance.now() - began) / 1000 / done) * (count - done);
  return `${done} of ${count} frames, about ${seconds(left)} left, ${bytesText((bytes / done) * count)} in all`;
}

/** How far work is and what is left of it, by what it took so far; `began` = milliseconds of the page. */
export function shareWords(share: number, began: number): string {
  const gone = (performance.now() - began) / 1000;
  const left = share > 0.05 ? `, about ${seconds((gone / share) * (1 - share))} left` : '';
  return `Working it out, ${Math.round(share * 100)} %${left}`;
}

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
    show((done + 1) / count, leftWords(done + 1, count, began, bytes));
  }
  zip.end();
  return new Blob(parts, { type: 'application/zip' });
}
