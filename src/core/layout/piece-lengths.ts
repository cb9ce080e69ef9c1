/** Natural lengths of the pieces of a body in the order in which they are laid, metres. */
export interface PieceLengths {
  of(piece: number): number;
  /** Of the first `count` together. */
  sum(count: number): number;
}

export const sameLengths = (natural: number): PieceLengths => ({
  of: () => natural,
  sum: (count) => count * natural,
});

/** Lengths that differ from piece to piece; what was added up is kept. */
export function mixedLengths(of: (piece: number) => number): PieceLengths {
  const sums = [0];
  return {
    of,
    sum(count) {
      while (sums.length <= count) sums.push(sums[sums.length - 1] + of(sums.length - 1));
      return sums[count];
    },
  };
}

/** Those from a piece on. */
export const lengthsFrom = (lengths: PieceLengths, first: number): PieceLengths =>
  first === 0
    ? lengths
    : { of: (piece) => lengths.of(first + piece), sum: (count) => lengths.sum(first + count) - lengths.sum(first) };
