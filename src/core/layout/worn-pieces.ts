import { mitredSegment } from '../segment/mitred-segment';
import type { FormStore } from '../segment/pieces/form-store';
import type { LaidPiece } from '../segment/pieces/plan-forms';
import type { PreparedSegment } from '../segment/prepared-segment';
import { turnedSegment } from '../segment/turned-segment';
import type { Shape } from '../shape/shape';
import type { BendingSpec } from './bending-spec';
import { leansOf } from './corner-leans';
import type { CourseParts } from './course-parts';
import type { CourseJob } from './course-spec';
import type { Layout } from './layout';
import type { Placement } from './placement';
import type { Strewn } from './place';
import type { StrewnLayout } from './strewn';

export interface WornInput extends CourseParts<PreparedSegment> {
  /** The run's, finished. */
  readonly shape: Shape;
  readonly course: CourseJob;
  readonly bending: BendingSpec;
  readonly forms: FormStore;
  /** Where its pieces lie on another course, where the fit strews them. */
  readonly over?: StrewnLayout | undefined;
}

/** A piece as it lies when all is there, and what it wears. */
export interface WornPiece extends LaidPiece {
  readonly placement: Placement;
  readonly form: PreparedSegment;
  /** The places of its pins, flat xyz. */
  readonly pins: Float64Array | undefined;
  /** How it lies on another course, where it is strewn over that. */
  readonly strewn: Strewn | undefined;
}

/** What lies there before it is sliced. */
export type WornAt = Omit<WornPiece, 'form'>;

/** Every placement with what is laid there, turned and mirrored as it lies. */
export function wornPieces(layout: Layout, input: WornInput): readonly WornAt[] {
  const { segment, others, course, bending, forms } = input;
  const { cut: own } = segment;
  const body = own?.body ?? segment;
  const parts = {
    head: input.head ?? own?.head ?? body,
    body,
    tail: input.tail ?? own?.tail ?? body,
    corner: input.joint ?? body,
    post: input.joint ?? body,
  };
  const { reach, pinned } = layout;
  let bodies = 0;
  return layout.placements.map((placement, i) => {
    const { kind, station, factor, natural } = placement;
    const whole = kind === 'body' && placement.body > 0 ? others[placement.body - 1] : parts[kind];
    const turned = turnedSegment(whole, placement.turn, placement.mirrored !== course.mirrored, forms);
    const worn = mitredSegment(turned, leansOf(placement, input.shape, course.fit), forms);
    const end = station + factor * natural;
    const trimAt =
      bending.pastEnd === 'trim' && end > reach.to * (1 + 1e-12) ? (reach.to - station) / factor : undefined;
    const { cutAt } = placement;
    const cut = cutAt === undefined || trimAt === undefined ? (cutAt ?? trimAt) : Math.min(cutAt, trimAt);
    const pin = kind === 'body' ? bodies++ * 3 : -1;
    return {
      placement,
      worn,
      station,
      factor,
      cutAt: cut,
      pins: pinned && pin >= 0 && pin + 6 <= pinned.pins.length ? pinned.pins.subarray(pin, pin + 6) : undefined,
      strewn: input.over?.strewn[i],
    };
  });
}
