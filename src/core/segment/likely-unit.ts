/** Metres per unit that files are met with: millimetre, centimetre, inch, foot, metre, kilometre. */
const UNITS = [0.001, 0.01, 0.0254, 0.3048, 1, 1000];

/** Longest sides, metres, that need no guess. */
const SMALLEST = 0.05;
const LARGEST = 50;

/** The unit, in metres, that brings a longest side of `size` units nearest to a metre. */
export function likelyUnit(size: number): number {
  const distance = (unit: number) => Math.abs(Math.log(size * unit));
  return [...UNITS].sort((a, b) => distance(a) - distance(b))[0];
}

/** The unit that a file's numbers are taken for as it arrives: metres where its format says so or that gives a likely size. */
export const unitOnArrival = (size: number, isMetric: boolean): number =>
  isMetric || !(size > 0) || (size >= SMALLEST && size <= LARGEST) ? 1 : likelyUnit(size);
