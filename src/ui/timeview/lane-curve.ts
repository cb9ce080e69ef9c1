import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { keyedValue, type Key, type KeyValue } from '../../core/motion/keys';

/** Pixels between two looks at a curve. */
const EVERY = 3;
/** Pixels that a curve keeps from the edges of its lane. */
const EDGE = 9;

/** The numbers of a value: one, three of a place, none of a colour. */
export const partsOf = (value: KeyValue): readonly number[] =>
  typeof value === 'number' ? [value] : typeof value === 'string' ? [] : value;

interface Time {
  (seconds: number): number;
  invert(pixels: number): number;
}

/** The numbers of a value as they are drawn: those of a place from where it is at its first key. */
export const drawnParts = (value: KeyValue, [{ value: first }]: readonly Key[]): readonly number[] =>
  typeof first === 'object' ? partsOf(value).map((part, c) => part - first[c]) : partsOf(value);

/** How a lane of keys is drawn: one curve a number, and how a value lies in its height. */
export function laneCurve(keys: readonly Key[], x: Time, [left, right]: readonly [number, number], height: number) {
  const count = Math.floor((right - left) / EVERY);
  const samples = Array.from({ length: count + 1 }, (_, i) => {
    const at = left + ((right - left) * i) / Math.max(count, 1);
    return [at, keyedValue(keys, x.invert(at))] as const;
  });
  const values = [...samples.map(([, value]) => value), ...keys.map(({ value }) => value)].flatMap((value) =>
    drawnParts(value, keys),
  );
  const [least, most] = [Math.min(...values), Math.max(...values)];
  // What never changes lies in the middle.
  const room = most > least ? 0 : Math.max(Math.abs(most), 0.1) / 2;
  const y = scaleLinear([least - room, most + room], [height - EDGE, EDGE]);
  const shapes = partsOf(keys[0].value).map((_, c) =>
    line<(typeof samples)[number]>(
      ([at]) => at,
      ([, value]) => y(drawnParts(value, keys)[c]),
    )(samples)!,
  );
  return { y, shapes, samples, least, most };
}
