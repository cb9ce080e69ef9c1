import { convertIndexedToRgb, decode, encode } from 'fast-png';

/** A PNG file as one that is white, and as opaque as it was light: its luma (ITU-R BT.601), times its own opacity. Undefined = it is no such file. */
export function coverImage(bytes: Uint8Array): Uint8Array | undefined {
  try {
    const image = decode(bytes);
    const { width, height, depth, palette } = image;
    const data = palette ? convertIndexedToRgb(image) : image.data;
    const channels = palette ? data.length / (width * height) : image.channels;
    const most = palette ? 255 : 2 ** depth - 1;
    const out = new Uint8Array(width * height * 4).fill(255);
    const [isGrey, hasOpacity] = [channels < 3, channels % 2 === 0];
    for (let i = 0; i < width * height; i++) {
      const at = i * channels;
      const light = isGrey ? data[at] : 0.299 * data[at] + 0.587 * data[at + 1] + 0.114 * data[at + 2];
      const opacity = hasOpacity ? data[at + channels - 1] / most : 1;
      out[i * 4 + 3] = Math.round((255 * light * opacity) / most);
    }
    return encode({ width, height, data: out, channels: 4, depth: 8 });
  } catch {
    return undefined;
  }
}
