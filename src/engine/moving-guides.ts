import { POSE_STRIDE, settleTrack } from '../core/bending/joint-poses';
import { turnOf } from '../core/guides/guide-spec';
import type { NamedMesh } from '../formats/format';
import type { Guide } from '../project/schema';
import { guideMeshes } from './guide-meshes';
import type { Deriver } from './derive';
import type { Times } from './moving-objects';

const WHOLE = [1, 0, 0, 0, 0, 1, 0, 0, 0, 0, 1, 0, 0, 0, 0, 1];

/** Guides that may move: the same ones at each moment. */
export async function movingGuides(
  moments: readonly (readonly Guide[])[],
  deriver: Pick<Deriver, 'guides' | 'segments'>,
  times: Times,
): Promise<NamedMesh[]> {
  const [first] = moments;
  const made = await Promise.all(
    first.map(async (guide, i): Promise<NamedMesh[]> => {
      const track = new Float64Array(moments.length * POSE_STRIDE);
      moments.forEach((guides, m) => {
        const { position, turn } = guides[i];
        track.set([...position, ...turnOf(turn), 1, 1, 1], m * POSE_STRIDE);
      });
      settleTrack(track);
      const isStill = track.every((value, k) => value === track[k % POSE_STRIDE]);
      if (isStill) return guideMeshes([guide], deriver);
      const meshes = await guideMeshes([{ ...guide, position: [0, 0, 0], turn: [0, 0, 0] }], deriver);
      return meshes.map((mesh) => ({ ...mesh, places: Float64Array.from(WHOLE), moves: { by: 'places', times, tracks: [track] } })); // prettier-ignore
    }),
  );
  return made.flat();
}
