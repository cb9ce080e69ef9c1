import type { CoursePlan } from '../motion/pose-course';
import { fillMatrix, inverseOf, poseBetween, POSE_STRIDE, type JointTrack } from './joint-poses';
import type { Joint } from './joint-tracks';

/** Joints that a vertex hangs on, at the most: what glTF has room for (glTF 2.0, section 3.7.3.3). */
export const INFLUENCES = 4;

/** A course's mesh on joints: of each vertex the joints and how much it hangs on each, flat, see {@link INFLUENCES}; of each joint how it was bound. */
export interface Skin {
  readonly joints: Uint16Array;
  readonly weights: Float32Array;
  readonly binds: readonly Float64Array[];
}

/** Hangs every vertex of a course on the joints before and after it in its piece, the more the nearer they are along it. */
export function buildSkin(
  { pieces, vertexCount }: CoursePlan,
  joints: readonly Joint[],
  rests: readonly JointTrack[],
): Skin {
  // prettier-ignore
  const hung = { joints: new Uint16Array(vertexCount * INFLUENCES), weights: new Float32Array(vertexCount * INFLUENCES) };
  let vertex = 0;
  let joint = 0;
  pieces.forEach(({ form: { mesh } }, piece) => {
    let end = joint;
    while (end < joints.length && joints[end].piece === piece) end++;
    for (let v = 0; v < mesh.positions.length; v += 3, vertex++) {
      const x = mesh.positions[v];
      let k = joint;
      while (k + 2 < end && joints[k + 1].x <= x) k++;
      const next = Math.min(k + 1, end - 1);
      const leg = joints[next].x - joints[k].x;
      const share = leg > 0 ? Math.min(Math.max((x - joints[k].x) / leg, 0), 1) : 0;
      const at = vertex * INFLUENCES;
      // A joint of no weight is joint 0 (glTF 2.0, section 3.7.3.3).
      if (share < 1) hung.joints[at] = k;
      if (share > 0) hung.joints[at + 1] = next;
      hung.weights[at] = 1 - share;
      hung.weights[at + 1] = share;
    }
    joint = end;
  });
  return { ...hung, binds: rests.map(inverseOf) };
}

/** Where the vertices of a mesh lie, flat xyz, when its joints stand as they do at a moment, which may lie between two. */
export function fillSkinned(
  out: Float32Array,
  positions: Float32Array,
  { joints, weights, binds }: Skin,
  tracks: readonly JointTrack[],
  atOnce: readonly boolean[],
  moment: number,
): void {
  const pose = new Float64Array(POSE_STRIDE);
  const [own, whole] = [new Float64Array(12), new Float64Array(tracks.length * 12)];
  tracks.forEach((track, j) => {
    poseBetween(pose, track, moment, atOnce[j]);
    fillMatrix(own, 0, pose);
    const bind = binds[j];
    for (let column = 0; column < 4; column++)
      for (let c = 0; c < 3; c++) {
        let sum = column === 3 ? own[9 + c] : 0;
        for (let k = 0; k < 3; k++) sum += own[k * 3 + c] * bind[column * 4 + k];
        whole[j * 12 + column * 3 + c] = sum;
      }
  });
  for (let v = 0; v * 3 < positions.length; v++)
    for (let c = 0; c < 3; c++) {
      let sum = 0;
      for (let i = v * INFLUENCES; i < (v + 1) * INFLUENCES; i++) {
        if (weights[i] === 0) continue;
        const m = joints[i] * 12 + c;
        const p = v * 3;
        sum += weights[i] * (whole[m] * positions[p] + whole[m + 3] * positions[p + 1] + whole[m + 6] * positions[p + 2] + whole[m + 9]); // prettier-ignore
      }
      out[v * 3 + c] = sum;
    }
}
