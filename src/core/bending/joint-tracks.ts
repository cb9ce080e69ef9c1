import { fitOf } from '../layout/fit-registry';
import type { Vec3 } from '../math/vec3';
import type { CoursePlan, PosedPiece } from '../motion/pose-course';
import { PartsThere, type FollowedCourse } from './follow-course';
import { fillPose, isThere, POSE_STRIDE, rowOf, settleTrack, type JointTrack } from './joint-poses';
import { HERE, rowsThere } from './rows-there';

/** A joint of a chain that carries a course: which of its pieces, copy by copy, and where in it, metres. */
export interface Joint {
  readonly piece: number;
  readonly x: number;
}

const lengthOf = ({ form: { box } }: PosedPiece): number => box.max[0] - box.min[0];

/** Joints of a course, about `most` of them: along pieces that bend by their length, at least two; one for a piece that keeps its shape. */
export function jointsOf({ fit, pieces }: CoursePlan, most: number): readonly Joint[] {
  const isRigid = fitOf(fit).isRigid ?? false;
  const whole = pieces.reduce((sum, piece) => sum + lengthOf(piece), 0);
  return pieces.flatMap((own, piece) => {
    const length = lengthOf(own);
    const legs = isRigid ? 0 : Math.max(1, Math.round(most * (length / whole)) - 1);
    const [from] = own.form.box.min;
    return Array.from({ length: legs + 1 }, (_, k): Joint => ({ piece, x: from + (legs && (length * k) / legs) }));
  });
}

/** How each joint stands at each moment. */
export async function jointTracks(joints: readonly Joint[], input: FollowedCourse): Promise<readonly JointTrack[]> {
  const { whole, origin, moments } = input;
  const tracks = joints.map(() => new Float64Array(moments * POSE_STRIDE));
  const parts = new PartsThere(input);
  for (let moment = 0; moment < moments; moment++) {
    const { there, origin: from } = await parts.at(moment);
    const by: Vec3 = [from[0] - origin[0], from[1] - origin[1], from[2] - origin[2]];
    eachChain(joints, (piece, first, xs) => {
      if (there[piece].length === 0) return;
      const { frames, gone } = rowsThere(whole.fit, there[piece], xs, whole.pieces[piece]);
      for (let k = 0; k < xs.length; k++) fillPose(tracks[first + k], moment * POSE_STRIDE, rowOf(frames, k), gone[k], by); // prettier-ignore
    });
  }
  tracks.forEach(settleTrack);
  // The joints of a piece that is not there lie in one point, or what hangs between them would show.
  eachChain(joints, (_, first, xs) => {
    for (let at = 0; at < moments * POSE_STRIDE; at += POSE_STRIDE)
      for (let k = 1; k < xs.length && !isThere(tracks[first], at); k++) tracks[first + k].set(tracks[first].subarray(at, at + 3), at); // prettier-ignore
  });
  return tracks;
}

/** How each joint stands when all is there. */
export function restPoses(joints: readonly Joint[], { fit, pieces }: CoursePlan): readonly JointTrack[] {
  const rests = joints.map(() => new Float64Array(POSE_STRIDE));
  eachChain(joints, (piece, first, xs) => {
    const { frames } = rowsThere(fit, [pieces[piece]], xs, pieces[piece]);
    for (let k = 0; k < xs.length; k++) fillPose(rests[first + k], 0, rowOf(frames, k), HERE, [0, 0, 0]);
  });
  return rests;
}

/** Calls back with the joints of each piece: the first of them, and where they are in it. */
function eachChain(joints: readonly Joint[], call: (piece: number, first: number, xs: Float32Array) => void): void {
  for (let first = 0, end = 0; first < joints.length; first = end) {
    while (end < joints.length && joints[end].piece === joints[first].piece) end++;
    call(
      joints[first].piece,
      first,
      Float32Array.from(joints.slice(first, end), ({ x }) => x),
    );
  }
}
