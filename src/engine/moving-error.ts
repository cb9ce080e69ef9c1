import { comesAtOnce, isThere, POSE_STRIDE, type JointTrack } from '../core/bending/joint-poses';
import type { FollowedCourse } from '../core/bending/follow-course';
import { fillSkinned, INFLUENCES, type Skin } from '../core/bending/skin';
import type { OnProgress } from '../core/math/progress';
import type { Mesh } from '../core/mesh/mesh';
import { firstsOf, shapesOf, type Shapes } from './moving-shapes';

/** Moments, evenly over all of the time, at which a file's motion is held against the course's own. */
const LOOKS = 97;
/** More than what was measured may be off in between, by this factor. */
const MARGIN = 1.25;

/** How far the vertices are off at the most, metres; `fill` = where the file has them at a moment, `mayLook` = at which pieces of it. */
async function worstOff(
  mesh: Mesh,
  input: FollowedCourse,
  fill: (out: Float32Array, moment: number) => void,
  mayLook: (piece: number, moment: number) => boolean,
  onProgress?: OnProgress,
): Promise<number> {
  const { whole, moments } = input;
  const { pieces } = whole;
  const firsts = firstsOf(pieces);
  const shapeAt = shapesOf(mesh, input);
  const out = new Float32Array(mesh.positions.length);
  let worst = 0;
  for (let i = 0; i < LOOKS; i++) {
    const moment = ((moments - 1) * i) / (LOOKS - 1);
    const { positions, isThere, stumps, cut } = await shapeAt(moment);
    worst = Math.max(worst, cut);
    fill(out, moment);
    for (let piece = 0; piece + 1 < firsts.length; piece++) {
      if (isThere[piece] === 0 || !mayLook(piece, moment)) continue;
      const { rows } = pieces[piece].form;
      for (let row = 0; row + 1 < rows.length; row++) {
        const stump = stumps[piece].get(row);
        for (let v = firsts[piece] + rows[row]; v < firsts[piece] + rows[row + 1]; v++) {
          const off = stump ? away(out, v * 3, stump.place, 0) - stump.reach : away(out, v * 3, positions, v * 3);
          if (off > worst) worst = off;
        }
      }
    }
    onProgress?.((i + 1) / LOOKS);
  }
  return worst * MARGIN;
}

const away = (a: ArrayLike<number>, i: number, b: ArrayLike<number>, k: number): number =>
  Math.hypot(a[i] - b[k], a[i + 1] - b[k + 1], a[i + 2] - b[k + 2]);

/** How far a skinned course is off its own motion. A piece that comes or goes between two frames is not looked at there. */
export function offOfSkin(
  mesh: Mesh,
  skin: Skin,
  tracks: readonly JointTrack[],
  input: FollowedCourse,
  onProgress?: OnProgress,
): Promise<number> {
  const firsts = firstsOf(input.whole.pieces);
  const jointOf = (piece: number) => skin.joints[firsts[piece] * INFLUENCES];
  const atOnce = tracks.map(comesAtOnce);
  const shows = (piece: number, at: number) => isThere(tracks[jointOf(piece)], at * POSE_STRIDE);
  return worstOff(
    mesh,
    input,
    (out, moment) => fillSkinned(out, mesh.positions, skin, tracks, atOnce, moment),
    (piece, moment) => shows(piece, Math.floor(moment)) && shows(piece, Math.ceil(moment)),
    onProgress,
  );
}

/** How far a course that goes from shape to shape is off its own motion. */
export function offOfShapes(
  mesh: Mesh,
  { shapes, moments }: Shapes,
  input: FollowedCourse,
  onProgress?: OnProgress,
): Promise<number> {
  const around = (moment: number) => {
    const next = moments.findIndex((own) => own > moment);
    const i = next < 0 ? Math.max(moments.length - 2, 0) : next - 1;
    const b = Math.min(i + 1, moments.length - 1);
    return { i, b, share: b > i ? (moment - moments[i]) / (moments[b] - moments[i]) : 0 };
  };
  return worstOff(
    mesh,
    input,
    (out, moment) => {
      const { i, b, share } = around(moment);
      const [from, to] = [shapes[i].positions, shapes[b].positions];
      for (let p = 0; p < out.length; p++) out[p] = mesh.positions[p] + (1 - share) * from[p] + share * to[p];
    },
    (piece, moment) => {
      const { i, b } = around(moment);
      return shapes[i].isThere[piece] === 1 && shapes[b].isThere[piece] === 1;
    },
    onProgress,
  );
}
