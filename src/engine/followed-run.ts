import type { MovingInput } from '../core/bending/follow-course';
import { frameCount, frameTime, type FrameRange } from '../core/motion/frame-range';
import { travels } from '../core/motion/motion-spec';
import { restCourse } from '../core/motion/pose-course';
import { about, ok, problem, type Problem, type Result } from '../core/math/result';
import { keysBeside } from '../project/keys/keys-beside';
import { projectAt } from '../project/keys/project-at';
import type { Keyed, Project, Run } from '../project/schema';
import { planCourse, type Deriver } from './derive';
import type { DerivedRun } from './derived';
import { isSameSource, sourceOf, type RunSource } from './run-source';

/** A run at one moment after the other; derived anew only where something of it has keys. */
export class FollowedRun {
  readonly run: Run;
  readonly #project: Project;
  readonly #deriver: Deriver;
  readonly #range: FrameRange;
  readonly #keyed: readonly Keyed[];
  readonly #problems: Problem[] = [];
  #hasMore = false;
  #last: { readonly source: RunSource; readonly derived: DerivedRun } | undefined;

  constructor(project: Project, run: Run, deriver: Deriver, range: FrameRange) {
    this.run = run;
    this.#project = project;
    this.#deriver = deriver;
    this.#range = range;
    this.#keyed = keysBeside(project, run);
  }

  get moves(): boolean {
    const { motion } = this.run;
    return motion.growth.kind !== 'none' || travels(motion) || this.#keyed.length > 0;
  }

  /** What went wrong at some moment. */
  get problems(): readonly Problem[] {
    return this.#problems;
  }

  /** `moving.remade` where a segment of it has keys, and `moving.pieces` where pieces were met that are not there in the end. */
  get warnings(): readonly Problem[] {
    const isRemade = this.#keyed.some(({ of }) => of[0] === 'segments');
    const codes = [isRemade && ('moving.remade' as const), this.#hasMore && ('moving.pieces' as const)];
    return codes.flatMap((code) => (code ? [about({ run: this.run.name }, problem(code, {}))] : []));
  }

  /** As it is `time` seconds from the start of the time; null = when all is over. */
  async at(time: number | null): Promise<Result<DerivedRun>> {
    const shown = this.#keyed.length > 0 ? projectAt(this.#project, time) : this.#project;
    const source = sourceOf(
      shown,
      shown.runs.find(({ id }) => id === this.run.id)!,
    );
    if (!source.ok) return source;
    if (this.#last && isSameSource(this.#last.source, source.value)) return ok(this.#last.derived);
    const derived = await this.#deriver.derive(source.value);
    if (derived.ok) this.#last = { source: source.value, derived: derived.value };
    return derived;
  }

  /** How a course of it moves, from the first frame of the range to the last. */
  input(finished: DerivedRun, k: number): MovingInput {
    const { laid, shape, course } = finished.courses[k];
    const { motion } = finished.source.steps;
    const rest = restCourse(laid, { shape, fit: course.fit, motion, variation: course.laying.variation });
    const known = new Set(rest.pieces.map((piece) => piece.laid.placement.piece));
    const { origin } = finished.table;
    const nothing = { plan: { fit: course.fit, pieces: [], vertexCount: 0 }, origin };
    return {
      rest,
      origin,
      moments: frameCount(this.#range),
      copies: travels(motion) && !laid.layout.round ? 2 : 1,
      far: (shape.reach.to - shape.reach.from) / 2,
      planAt: async (moment) => {
        const time = frameTime(this.#range, this.#range.first + moment);
        const derived = await this.at(time);
        if (!derived.ok) this.#problems.push(...derived.problems);
        if (!derived.ok) return nothing;
        const plan = planCourse(derived.value, derived.value.courses[k], time);
        this.#hasMore ||= plan.pieces.some((piece) => !known.has(piece.laid.placement.piece));
        return { plan, origin: derived.value.table.origin };
      },
    };
  }
}
