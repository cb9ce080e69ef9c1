import { ON_PLANE_RELATIVE } from '../math/tolerance';

/** An interval of x that is only carried and turned, metres. */
export interface StiffZone {
  readonly from: number;
  readonly to: number;
}

/** A segment as far as its zones go: they ascend and lie apart within its natural length, metres. */
interface Zoned {
  readonly stiff: readonly StiffZone[];
  readonly length: number;
}

/** The zones in ascending order; those that touch are one. */
export function mergeZones(zones: readonly StiffZone[]): StiffZone[] {
  const merged: StiffZone[] = [];
  for (const { from, to } of [...zones].sort((a, b) => a.from - b.from)) {
    const last = merged.at(-1);
    if (last && from <= last.to) merged[merged.length - 1] = { from: last.from, to: Math.max(last.to, to) };
    else merged.push({ from, to });
  }
  return merged;
}

/** Where along a piece a row lies, and how it is carried. */
export interface RowPlace {
  /** Metres along the laid piece from its start. */
  readonly along: number;
  /** Metres along the piece at which the row's frame is taken: its own, or the middle of its stiff zone. */
  readonly frameAt: number;
  /** Laid over natural length there. */
  readonly factor: number;
  readonly isStiff: boolean;
}

/**
 * How a piece that is `factor` times as long as its segment shares that out: stiff zones keep their length, the rest makes up for them.
 * Where the zones leave no room for that, all of it stretches alike.
 */
export function stiffPlaces({ stiff, length }: Zoned, factor: number): (x: number) => RowPlace {
  const { soft, hard } = factorsOf({ stiff, length }, factor);
  const near = length * ON_PLANE_RELATIVE; // rows are places of 32-bit floats
  return (x) => {
    let along = 0;
    let at = 0;
    for (const { from, to } of stiff) {
      if (x < from - near) break;
      along += (from - at) * soft;
      if (x <= to + near) {
        return {
          along: along + (x - from) * hard,
          frameAt: along + ((to - from) / 2) * hard,
          factor: hard,
          isStiff: true,
        };
      }
      along += (to - from) * hard;
      at = to;
    }
    along += (x - at) * soft;
    return { along, frameAt: along, factor: soft, isStiff: false };
  };
}

/** Laid over natural length outside and inside stiff zones. */
function factorsOf({ stiff, length }: Zoned, factor: number) {
  const kept = stiff.reduce((sum, { from, to }) => sum + to - from, 0);
  const rest = (factor * length - kept) / (length - kept);
  return length > kept && rest > 0.05 ? { soft: rest, hard: 1 } : { soft: factor, hard: factor };
}

/** Where along a piece's segment a place of the laid piece lies: x for metres along it. Undefined inside a stiff zone, which has no place for a row. */
export function placeAlong({ stiff, length }: Zoned, factor: number): (along: number) => number | undefined {
  const { soft, hard } = factorsOf({ stiff, length }, factor);
  return (along) => {
    let [x, done] = [0, 0];
    for (const { from, to } of stiff) {
      const free = (from - x) * soft;
      if (along <= done + free) break;
      done += free + (to - from) * hard;
      if (along < done) return undefined;
      x = to;
    }
    return x + (along - done) / soft;
  };
}
