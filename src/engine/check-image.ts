import { decode } from 'fast-png';
import type { Image } from '../core/mesh/mesh';

/** Whether an image can be decoded, by decoding it: as the browser does, or PNG alone where there is none. */
export async function isSoundImage({ bytes, mime }: Pick<Image, 'bytes' | 'mime'>): Promise<boolean> {
  try {
    if (typeof createImageBitmap === 'function') {
      (await createImageBitmap(new Blob([bytes as Uint8Array<ArrayBuffer>], { type: mime }))).close();
      return true;
    }
    if (mime === 'image/png') return decode(bytes, { checkCrc: true }).width > 0;
    return isWhole(bytes, mime);
  } catch {
    return false;
  }
}

/** Whether the end is there: of a JPEG its last marker (ITU-T T.81, B.1.1.3), of a WebP as many bytes as it says (RFC 9649, 2.3). */
function isWhole(bytes: Uint8Array, mime: Image['mime']): boolean {
  if (mime === 'image/jpeg') return bytes.at(-2) === 0xff && bytes.at(-1) === 0xd9;
  return new DataView(bytes.buffer, bytes.byteOffset).getUint32(4, true) + 8 <= bytes.length;
}
