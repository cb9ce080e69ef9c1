import type { TextureSpec } from '../core/segment/finish/finish-spec';
import { fail, ok, type Result } from '../core/math/result';
import type { NamedBytes } from '../formats/format';
import { isSoundImage } from './check-image';
import { assetIdOf } from '../project/asset-id';

/** Most bytes of an image that is brought. */
export const MAX_IMAGE_BYTES = 32 * 1024 * 1024;

type ImageTexture = Extract<TextureSpec, { from: 'image' }>;

/** First bytes of the formats that are read. */
const STARTS: readonly (readonly [ImageTexture['mime'], number, readonly number[]])[] = [
  ['image/png', 0, [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]],
  ['image/jpeg', 0, [0xff, 0xd8, 0xff]],
  ['image/webp', 8, [0x57, 0x45, 0x42, 0x50]],
];

/** An image file as a texture, named by the SHA-256 of its bytes. Problems: `image.unknown`, `image.too-large`, `image.damaged`. */
export async function bringImage({ name, bytes }: NamedBytes): Promise<Result<ImageTexture>> {
  if (bytes.length > MAX_IMAGE_BYTES)
    return fail('image.too-large', { file: name, bytes: bytes.length, most: MAX_IMAGE_BYTES });
  const found = STARTS.find(([, at, start]) => start.every((byte, i) => bytes[at + i] === byte));
  if (!found) return fail('image.unknown', { file: name });
  if (!(await isSoundImage({ bytes, mime: found[0] }))) return fail('image.damaged', { name });
  return ok({ from: 'image', asset: await assetIdOf(bytes), fileName: name.slice(0, 400), mime: found[0] });
}
