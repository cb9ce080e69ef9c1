import { buildRows, type FitSpec } from '../layout/fit-registry';
import type { PosedPiece } from '../motion/pose-course';
import { ROW_FACTOR, ROW_STRIDE } from '../segment/pieces/rows';
import { SAME_ROW_RELATIVE } from '../math/tolerance';
import { probeAt } from '../segment/pieces/probe';

/** A row is there; it is the next one beside what is there; or it is beyond that. */
export const [HERE, BESIDE, BEYOND] = [0, 1, 2];

/** Rows of a piece of which parts are there. */
export interface RowsThere {
  /** Flat, see `ROW_STRIDE`; where no part is, the row of the nearest end of one. */
  readonly frames: Float64Array;
  /** How far each row is from what is there, see {@link HERE}. */
  readonly gone: Uint8Array;
}

const rangeOf = ({ form }: PosedPiece): readonly [number, number] => [form.box.min[0], form.box.max[0]];

/**
 * How a piece would lie at places `xs` of its segment, metres, ascending, by the parts of it that are there: at least one. Where the segment is longer or
 * shorter there than `rest`'s, as one that fills a path with keys is, places are as far along it.
 */
export function rowsThere(
  fit: FitSpec,
  parts: readonly PosedPiece[],
  xs: Float32Array,
  { laid: { worn } }: PosedPiece,
): RowsThere {
  const frames = new Float64Array(xs.length * ROW_STRIDE);
  const at = xs.slice();
  const nearest = Float64Array.from(xs, () => Infinity);
  for (const part of parts) {
    const [from, to] = rangeOf(part);
    const longer = part.laid.worn.length / worn.length;
    const places = longer === 1 ? xs : xs.map((x) => x * longer);
    const near = (to - from) * SAME_ROW_RELATIVE;
    const within = places.map((x) => (x > to && x < to + near ? x : Math.min(Math.max(x, from), to)));
    const own = buildRows(fit, probeAt(part.form, within), part.shape, part.place).frames;
    for (let i = 0; i < xs.length; i++) {
      const off = Math.abs(places[i] - within[i]);
      if (off >= nearest[i]) continue;
      nearest[i] = off;
      at[i] = off === 0 ? xs[i] : within[i] / longer;
      frames.set(own.subarray(i * ROW_STRIDE, (i + 1) * ROW_STRIDE), i * ROW_STRIDE);
      frames[i * ROW_STRIDE + ROW_FACTOR] *= longer;
    }
  }
  const isBeside = (i: number, other: number) => other in at && at[other] !== at[i];
  const gone = Uint8Array.from(at, (x, i) =>
    x === xs[i] ? HERE : isBeside(i, i - 1) || isBeside(i, i + 1) ? BESIDE : BEYOND,
  );
  return { frames, gone };
}
