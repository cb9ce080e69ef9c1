import type { Measure } from '../shape/measure';
import { shownOf, type Spot } from './laying-rule';
import type { LayingSpec } from './laying-spec';

export type PieceKind = 'head' | 'body' | 'tail' | 'corner' | 'post';

/** A piece and where it lies, as the fit measures it. */
export interface Spotted {
  readonly kind: PieceKind;
  readonly body: number;
  readonly spot: Spot;
  readonly natural: number;
  /** Metres to the next one. */
  readonly gap: number;
  /** Metres of its end over which the next one lies, or would lie. */
  readonly overlap: number;
  readonly meets: Meets | undefined;
  /** It is the last before a joint. */
  readonly isPartEnd: boolean;
}

/** At which of its ends a piece meets another in a joint where nothing else stands. */
export interface Meets {
  readonly start: boolean;
  readonly end: boolean;
}

/** One laid piece, metres. */
export interface Placement {
  readonly piece: number;
  /** The segment's head or tail, laid once, its body, or what stands where the course is parted. */
  readonly kind: PieceKind;
  /** Which of the body's segments it is of; 0 for all others. */
  readonly body: number;
  readonly station: number;
  /** Length along the path, of what is there of it. */
  readonly length: number;
  /** Natural length of what lies here. */
  readonly natural: number;
  /** Laid over natural length, as the fit measures it; 1 = not stretched. */
  readonly stretch: number;
  /** Metres along the path per metre of segment. */
  readonly factor: number;
  /** x of the segment at which it is cut off; undefined = it is whole. */
  readonly cutAt: number | undefined;
  /** Clear distance to the next piece, as the fit measures it, on a round to the first; 0 after the last. */
  readonly gap: number;
  /** Metres along the path of its end over which the next one lies, or would lie: a tread's nosing. */
  readonly overlap: number;
  /** Radians about the path. */
  readonly turn: number;
  readonly mirrored: boolean;
  readonly hidden: boolean;
  /** Metres above and beside where it would lie. */
  readonly up: number;
  readonly side: number;
  readonly meets: Meets | undefined;
  /** It is the last before a joint: its gap goes over that. */
  readonly isPartEnd: boolean;
}

/** Pieces in order as they lie along the path, with what is said of every so many and of single ones; `bodies` = natural lengths, metres. */
export function toPlacements(
  ordered: readonly Spotted[],
  { everyOther: { every, turn, mirrored }, pieces }: Pick<LayingSpec, 'everyOther' | 'pieces'>,
  bodies: readonly number[],
  measure: Measure,
): readonly Placement[] {
  const edits = new Map(pieces.map((edit) => [edit.piece, edit]));
  return ordered.map(({ kind, body, spot, natural, gap, overlap, meets, isPartEnd }, piece): Placement => {
    const edit = edits.size > 0 ? edits.get(piece) : undefined;
    const replaced = kind === 'body' && edit?.body !== undefined && edit.body < bodies.length ? edit.body : body;
    const long = replaced === body ? natural : bodies[replaced];
    const starts = measure.stationOf(spot.start);
    const whole = measure.stationOf(spot.start + spot.length) - starts;
    const shown = shownOf(spot);
    const endsAt = spot.start + shown;
    const isCut = spot.shown !== undefined;
    const isOther = every > 0 && piece % every === every - 1;
    // Written out: there are many of these, and objects that are put together are slow.
    return {
      piece,
      kind,
      body: replaced,
      station: starts + (edit?.along ?? 0),
      length: isCut ? measure.stationOf(endsAt) - starts : whole,
      natural: long,
      stretch: spot.stretch ?? spot.length / long,
      factor: whole / long,
      cutAt: isCut ? (long * shown) / spot.length : undefined,
      gap,
      overlap: overlap > 0 ? measure.stationOf(endsAt) - measure.stationOf(endsAt - overlap) : 0,
      turn: (isOther ? turn : 0) + (edit?.turn ?? 0),
      mirrored: isOther && mirrored,
      hidden: edit?.hidden ?? false,
      up: edit?.up ?? 0,
      side: edit?.side ?? 0,
      meets,
      isPartEnd,
    };
  });
}
