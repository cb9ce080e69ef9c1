import { fitOf } from '../layout/fit-registry';
import type { Vec3 } from '../math/vec3';
import type { CoursePlan, PosedPiece } from '../motion/pose-course';
import { PieceFollower } from './follow-pieces';

/** A course at a moment, and where its places count from. */
export interface MomentPlan {
  readonly plan: CoursePlan;
  readonly origin: Vec3;
}

/** A finished course and how it moves. */
export interface MovingInput {
  /** As it lies when all is there, see `restCourse`; where its places count from. */
  readonly rest: CoursePlan;
  readonly origin: Vec3;
  /** Moments count from 0; those between two are asked for too. */
  readonly planAt: (moment: number) => Promise<MomentPlan>;
  readonly moments: number;
  /** See {@link PieceFollower}. */
  readonly copies: number;
  readonly far: number;
}

/** A course that moves, with those copies of its pieces that are ever there. */
export interface FollowedCourse extends MovingInput {
  /** As the rest, copy by copy. */
  readonly whole: CoursePlan;
  /** Which of all copies they are. */
  readonly used: readonly number[];
}

/** Finds out which copies of a course's pieces are ever there. Pieces of which there is one copy are all taken, there or not. */
export async function followCourse(input: MovingInput): Promise<FollowedCourse> {
  const { rest, copies, far, moments } = input;
  const { fit, pieces } = rest;
  const used = new Set<number>(copies === 1 ? pieces.keys() : []);
  const follower = new PieceFollower(pieces, copies, far);
  for (let moment = 0; copies > 1 && moment < moments; moment++) {
    const { plan } = await input.planAt(moment);
    follower.next(plan).forEach((parts, i) => parts.length > 0 && used.add(i));
  }
  const kept = [...used].toSorted((a, b) => a - b);
  const own = kept.map((i) => pieces[Math.floor(i / copies)]);
  const vertexCount = own.reduce((sum, { form }) => sum + form.mesh.positions.length / 3, 0);
  return { ...input, used: kept, whole: { fit, pieces: own, vertexCount } };
}

/** What of each copy is there at one moment after the other. */
export class PartsThere {
  readonly #input: FollowedCourse;
  readonly #follower: PieceFollower;
  readonly #isRigid: boolean;

  constructor(input: FollowedCourse) {
    const { rest, copies, far } = input;
    this.#input = input;
    this.#follower = new PieceFollower(rest.pieces, copies, far);
    this.#isRigid = fitOf(rest.fit).isRigid ?? false;
  }

  async at(moment: number): Promise<{ readonly there: readonly (readonly PosedPiece[])[]; readonly origin: Vec3 }> {
    const { plan, origin } = await this.#input.planAt(moment);
    const { used, whole } = this.#input;
    const all = this.#follower.next(plan);
    const there = used.map((copy, i) => (this.#isRigid ? this.#entire(all[copy], whole.pieces[i]) : all[copy]));
    return { there, origin };
  }

  /** A piece that keeps its shape is there whole when its middle is. */
  #entire(parts: readonly PosedPiece[], { form }: PosedPiece): readonly PosedPiece[] {
    const middle = (form.box.min[0] + form.box.max[0]) / 2;
    const part = parts.find((own) => own.form.box.min[0] <= middle && own.form.box.max[0] >= middle);
    return part ? [{ ...part, form }] : [];
  }
}
