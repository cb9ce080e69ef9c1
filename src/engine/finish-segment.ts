import { applyFinishes, type TextureImages } from '../core/segment/finish/apply-finishes';
import type { FinishSpec } from '../core/segment/finish/finish-spec';
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
  const images = new Map<FinishSpec, TextureImages>();
  const made = new Map<string, TextureImages>(); // parts that wear one texture share its images
  for (const finish of finishes) {
    if (!finish.texture) continue;
    const key = JSON.stringify(finish.texture);
    const known = made.get(key);
    const read = known ? ok(known) : await imager.images(finish.texture);
    if (!read.ok) return read;
    made.set(key, read.value);
    images.set(finish, read.value);
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
