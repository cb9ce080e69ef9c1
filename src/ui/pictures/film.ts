import type { VideoCodec } from 'mediabunny';

export type FilmFormat = 'webm' | 'mp4';

/** Codecs of each, the better ones first; the browser takes the first that it can. */
const CODECS: Readonly<Record<FilmFormat, VideoCodec[]>> = {
  webm: ['vp9', 'av1', 'vp8'],
  mp4: ['avc', 'hevc', 'vp9', 'av1'],
};

/** The browser can write no film of this sort. */
export class NoCodec extends Error {}

export interface FilmSpec {
  readonly format: FilmFormat;
  readonly width: number;
  readonly height: number;
  readonly frames: number;
  readonly framesPerSecond: number;
}

/** A film of pictures; `picture` draws one after the other, `onBytes` is told how large it is so far. Throws {@link NoCodec}. */
export async function film(
  { format, width, height, frames, framesPerSecond }: FilmSpec,
  picture: (frame: number) => Promise<ImageBitmap>,
  onFrame: (done: number, bytes: number) => void,
): Promise<Blob> {
  const { Output, WebMOutputFormat, Mp4OutputFormat, BufferTarget, CanvasSource, getFirstEncodableVideoCodec, QUALITY_HIGH } = await import('mediabunny'); // prettier-ignore
  const codec = await getFirstEncodableVideoCodec(CODECS[format], { width, height });
  if (!codec) throw new NoCodec(format);
  const own = document.createElement('canvas');
  [own.width, own.height] = [width, height];
  const context = own.getContext('2d')!;
  let bytes = 0;
  const source = new CanvasSource(own, {
    codec,
    bitrate: QUALITY_HIGH,
    onEncodedPacket: ({ byteLength }) => (bytes += byteLength),
  });
  const target = new BufferTarget();
  const output = new Output({ format: format === 'webm' ? new WebMOutputFormat() : new Mp4OutputFormat(), target });
  output.addVideoTrack(source, { frameRate: framesPerSecond });
  await output.start();
  try {
    for (let frame = 0; frame < frames; frame++) {
      const drawn = await picture(frame);
      context.drawImage(drawn, 0, 0);
      drawn.close();
      await source.add(frame / framesPerSecond, 1 / framesPerSecond);
      onFrame(frame + 1, bytes);
    }
  } catch (error) {
    await output.cancel();
    throw error;
  }
  await output.finalize();
  return new Blob([target.buffer!], { type: format === 'webm' ? 'video/webm' : 'video/mp4' });
}
