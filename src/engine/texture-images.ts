import { encode } from 'fast-png';
import { drawPattern } from '../core/segment/finish/draw-pattern';
import type { TextureImages } from '../core/segment/finish/apply-finishes';
import type { TextureSpec } from '../core/segment/finish/finish-spec';
import { fail, ok, type Result } from '../core/math/result';
import type { Image } from '../core/mesh/mesh';
import { coverImage } from './cover-image';
import type { Stage } from './stage-cache';

/** Finds the bytes of a brought image by its id; undefined when it is not stored. */
export type LoadBytes = (id: string) => Promise<Uint8Array | undefined>;

/** Draws or loads the images of textures; keeps the last ones. */
export class TextureImager {
  readonly #loadBytes: LoadBytes;
  readonly #drawn: Stage<TextureImages>;

  constructor(loadBytes: LoadBytes, drawn: Stage<TextureImages>) {
    this.#loadBytes = loadBytes;
    this.#drawn = drawn;
  }

  /** White where a brought image is light, and nothing where it is dark. Problems: `asset.missing`, `image.not-png`. */
  async cover(id: string): Promise<Result<TextureImages>> {
    const bytes = await this.#loadBytes(id);
    if (!bytes) return fail('asset.missing', { id });
    const known = this.#drawn.peek(`cover ${id}`);
    if (known) return ok(known);
    const cover = coverImage(bytes);
    if (!cover) return fail('image.not-png');
    return ok(this.#drawn.get(`cover ${id}`, () => ({ colour: { name: 'cover', mime: 'image/png', bytes: cover } })));
  }

  /** Problems: `asset.missing`. */
  async images(texture: TextureSpec): Promise<Result<TextureImages>> {
    if (texture.from === 'image') {
      const bytes = await this.#loadBytes(texture.asset);
      if (!bytes) return fail('asset.missing', { id: texture.asset });
      return ok({ colour: { name: texture.fileName, mime: texture.mime, bytes } });
    }
    return ok(
      this.#drawn.get(JSON.stringify(texture), () => {
        const { size, colour, normal, surface } = drawPattern(texture);
        const png = (name: string, data: Uint8Array): Image => ({
          name: `${texture.pattern} ${name}`,
          mime: 'image/png',
          bytes: encode({ width: size, height: size, data, channels: 4, depth: 8 }),
        });
        return { colour: png('colour', colour), normal: png('normal', normal), surface: png('surface', surface) };
      }),
    );
  }
}
