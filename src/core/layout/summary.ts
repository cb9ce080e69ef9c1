import type { Layout } from './layout';

/** From the least to the greatest. */
export interface Range {
  readonly least: number;
  readonly greatest: number;
}

/** What a layout comes to. */
export interface LayoutSummary {
  /** Head and tail included. */
  readonly count: number;
  /** Laid over natural length of the body's pieces; 1 = not stretched. */
  readonly stretch: Range;
  /** Metres between the body's pieces but for joints, which are none where there is one piece. */
  readonly gap: Range;
  /** Metres: natural length of the body. */
  readonly natural: number;
  /** Metres from pin to pin, where pieces are pinned. */
  readonly pitch?: number;
  /** Metres of the reach left bare; negative = beyond it. */
  readonly remainder: number;
}

export function summaryOf({ placements, remainder, round, pinned }: Layout): LayoutSummary {
  const body = placements.filter(({ kind }) => kind === 'body');
  const gaps = (round ? body : body.slice(0, -1)).flatMap(({ gap, isPartEnd }) => (isPartEnd ? [] : [gap]));
  return {
    count: placements.length,
    stretch: rangeOf(body.map((placement) => placement.stretch)),
    gap: gaps.length > 0 ? rangeOf(gaps) : { least: 0, greatest: 0 },
    natural: body[0]?.natural ?? 0,
    remainder,
    ...(pinned && { pitch: pinned.pitch * (body[0]?.stretch ?? 1) }),
  };
}

function rangeOf(values: readonly number[]): Range {
  let [least, greatest] = [Infinity, -Infinity];
  for (const value of values) {
    if (value < least) least = value;
    if (value > greatest) greatest = value;
  }
  return { least, greatest };
}
