import { applyFinishes, type TextureImages } from '../core/segment/finish/apply-finishes';
import type { CoatSpec, FinishSpec } from '../core/segment/finish/finish-spec';
import type { PreparedSegment } from '../core/segment/prepared-segment';
import { ok, type Result } from '../core/math/result';
import type { TextureImager } from './texture-images';

/** A prepared segment with the finishes on its parts. Problems: `asset.missing`. */
export async function finishSegment(
  imager: TextureImager,
  prepared: PreparedSegment,
  finishes: readonly FinishSpec[],
  isBrought: boolean,
): Promise<Result<PreparedSegment>> {
  const images = new Map<FinishSpec | CoatSpec, TextureImages>();
  const made = new Map<string, TextureImages>(); // parts that wear one texture share its images
  for (const finish of finishes) {
    const { coat } = finish;
    const map = coat?.mask.kind === 'map' ? coat.mask.asset : null;
    const wanted = [
      [finish, finish.texture],
      [coat, map === null ? coat?.finish.texture : { map }],
    ] as const;
    for (const [worn, texture] of wanted) {
      if (!worn || !texture) continue;
      const key = JSON.stringify(texture);
      const known = made.get(key);
      const read = known ? ok(known) : await ('map' in texture ? imager.cover(texture.map) : imager.images(texture));
      if (!read.ok) return read;
      made.set(key, read.value);
      images.set(worn, read.value);
    }
  }
  const wear = (part: PreparedSegment): PreparedSegment => ({
    ...part,
    mesh: applyFinishes(part.mesh, part.length, finishes, (finish) => images.get(finish), isBrought),
  });
  const { cut } = prepared;
  if (!cut) return ok(wear(prepared));
  const { head, body, tail } = cut;
  const worn = { ...(head && { head: wear(head) }), body: wear(body), ...(tail && { tail: wear(tail) }) };
  return ok({ ...wear(prepared), cut: worn });
}
