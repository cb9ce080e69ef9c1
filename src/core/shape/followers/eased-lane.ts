import { monotoneCubic } from '../../math/monotone-cubic';
import { placesBetween, type Lane } from '../lane';

/** Places looked at over the length over which something is eased, and over a path at the most. */
const PLACES = 8;
const MOST_PLACES = 4000;

/** Metres from place to place for something that is eased over `ease` metres of a path. */
export const easedStep = (ease: number, length: number): number => Math.max(ease / PLACES, length / MOST_PLACES);

/** A lane through what `value` comes to at even places of a path; undefined where that is `none` all along. */
export function easedLane(
  { length, closed }: { readonly length: number; readonly closed: boolean },
  step: number,
  none: number,
  value: (station: number) => number,
): Lane | undefined {
  const count = Math.max(Math.ceil(length / step), 2);
  const stations = Array.from({ length: closed ? count : count + 1 }, (_, i) => (i * length) / count);
  const values = stations.map(value);
  const isNone = (i: number) => Math.abs((values[i] ?? none) - none) < 1e-9;
  if (values.every((_, i) => isNone(i))) return undefined;
  // Where nothing happens on either side there is nothing to look at.
  const kept = stations.flatMap((_, i) => (isNone(i - 1) && isNone(i) && isNone(i + 1) && i > 0 ? [] : [i]));
  const [at, own] = [kept.map((i) => stations[i]), kept.map((i) => values[i])];
  const period = closed ? length : undefined;
  return { at: monotoneCubic(at, own, period), places: placesBetween(at, period, 3) };
}
