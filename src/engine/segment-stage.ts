import type { OnProgress } from '../core/math/progress';
import { ok, type Result } from '../core/math/result';
import type { Mesh } from '../core/mesh/mesh';
import { plainSurface } from '../core/segment/finish/apply-finishes';
import type { PlainFinish } from '../core/segment/finish/finish-spec';
import { makeSegment } from '../core/segment/registry';
import { readySegment, type ReadySegment, type SegmentParts } from './ready-segment';
import type { Stage, StageCache } from './stage-cache';
import { TextureImager, type LoadBytes } from './texture-images';

/** Finds a brought mesh by its id. Problems: `asset.missing`, and those of the format. */
export type LoadAsset = (id: string) => Promise<Result<Mesh>>;

/** Segments made ready: cleaned, prepared and finished. */
export class SegmentStage {
  readonly #loadAsset: LoadAsset;
  readonly #imager: TextureImager;
  readonly #meshes: Stage<Result<Mesh>>;
  readonly #segments: Stage<Result<ReadySegment>>;

  constructor(cache: StageCache, loadAsset: LoadAsset, loadBytes: LoadBytes) {
    this.#loadAsset = loadAsset;
    this.#imager = new TextureImager(loadBytes, cache.stage());
    this.#meshes = cache.stage();
    this.#segments = cache.stage();
  }

  /** Kept, unless it comes to a problem that may go away. Progress is told to the one who asks first. */
  ready({ source, prepare, finishes }: SegmentParts, onProgress?: OnProgress): Promise<Result<ReadySegment>> {
    const key = JSON.stringify([source, prepare, finishes]);
    const isLasting = (made: Result<ReadySegment>) =>
      made.ok || made.problems.every(({ code }) => code !== 'asset.missing' && !code.startsWith('storage.'));
    return this.#segments.getLater(key, () => this.#make(key, { source, prepare, finishes }, onProgress), isLasting);
  }

  /** What wears a finish and has no parts. Problems: `asset.missing`. */
  async surface(finish: PlainFinish): Promise<Result<ReturnType<typeof plainSurface>>> {
    const images = finish.texture ? await this.#imager.images(finish.texture) : ok(undefined);
    return images.ok ? ok(plainSurface(finish, images.value)) : images;
  }

  async #make(key: string, parts: SegmentParts, onProgress?: OnProgress): Promise<Result<ReadySegment>> {
    const { source } = parts;
    const mesh = source.from === 'maker' ? makeSegment(source.spec) : await this.brought(source.asset);
    if (!mesh.ok) return mesh;
    const made = await readySegment(key, mesh.value, parts, this.#imager, onProgress);
    return made.ok ? ok(made.value, mesh.warnings) : made;
  }

  /** A brought mesh as it is kept: every change to how one is prepared asks for it again. */
  brought(asset: string): Promise<Result<Mesh>> {
    return this.#meshes.getLater(
      asset,
      () => this.#loadAsset(asset),
      (mesh) => mesh.ok,
    );
  }
}
