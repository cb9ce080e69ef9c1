import { seededRow } from '../../math/random';

/** What a pattern is at a place: all between 0 and 1. */
export interface PatternSample {
  /** Height of the surface, for the normals. */
  readonly height: number;
  /** From the pattern's dark to its light colour. */
  readonly shade: number;
  readonly roughness: number;
}

/** Smooth tiling noise over [0, 1) x [0, 1), between 0 and 1; `across` and `along` = whole cells of the lattice. */
export type Noise = (u: number, v: number, along: number, across: number) => number;

/** A surface computed in code that tiles both ways. Adding one is a file in `patterns/` and a line in its list. */
export interface Pattern<K extends string = string> {
  readonly kind: K;
  readonly label: string;
  /** Height of the relief as a share of the texture's length. */
  readonly relief: number;
  /** `u` along, `v` round, both in [0, 1); wraps at 1. */
  sample(u: number, v: number, noise: Noise): PatternSample;
}

export const definePattern = <K extends string>(pattern: Pattern<K>): Pattern<K> => pattern;

/** Value noise on a lattice of seeded random numbers that wraps, blended by smoothsteps. */
export function tilingNoise(seed: number): Noise {
  const value = seededRow(seed);
  const wrap = (i: number, n: number) => ((i % n) + n) % n;
  const smooth = (t: number) => t * t * (3 - 2 * t);
  return (u, v, along, across) => {
    const [x, y] = [u * along, v * across];
    const [i, j] = [Math.floor(x), Math.floor(y)];
    const [s, t] = [smooth(x - i), smooth(y - j)];
    const at = (a: number, b: number) => value(wrap(b, across) * along + wrap(a, along));
    const low = at(i, j) + (at(i + 1, j) - at(i, j)) * s;
    const high = at(i, j + 1) + (at(i + 1, j + 1) - at(i, j + 1)) * s;
    return low + (high - low) * t;
  };
}
