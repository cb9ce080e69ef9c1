import { randomLcg } from 'd3-random';

/** Random numbers in [0, 1), the same for the same seed: any whole number. */
export const seededRandom = (seed: number): (() => number) => randomLcg(Math.trunc(seed));

/** The same numbers by their place in the row; each is drawn when it or a later one is first asked for. */
export function seededRow(seed: number): (place: number) => number {
  const next = seededRandom(seed);
  const drawn: number[] = [];
  return (place) => {
    while (drawn.length <= place) drawn.push(next());
    return drawn[place];
  };
}

/** A row of random numbers for each place of its own; those of near places are far apart (multiplicative hashing, Knuth, TAOCP 3, 6.4). */
export const seededAt = (seed: number, place: number): (() => number) =>
  seededRandom(Math.imul(place + 1, 0x9e3779b1) ^ Math.imul(Math.trunc(seed) + 1, 0x85ebca6b));
