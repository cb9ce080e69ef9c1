import { z } from 'zod';
import { vec3Schema } from '../curve/path-spec';
import type { Vec3 } from '../math/vec3';
import { fromHex, toHex } from '../segment/colour';
import { eased, easingSpecSchema } from './easing-registry';
import { MOST_SECONDS } from './time-spec';

const colourSchema = z.string().regex(/^#[0-9a-f]{6}$/);

/** What may change over time: a number, a colour written #rrggbb, a place or three angles. */
export const keyValueSchema = z.union([z.number(), colourSchema, vec3Schema]);

export type KeyValue = number | string | Vec3;

const keySchema = z.strictObject({
  /** Seconds from the start of the time. */
  at: z.number().min(0).max(MOST_SECONDS),
  value: keyValueSchema,
  /** How it goes from here to the next key. */
  easing: easingSpecSchema,
});

export type Key = z.infer<typeof keySchema>;

/** Keys of one value, ascending and apart, all of one sort. */
export const keysSchema = z
  .array(keySchema)
  .min(1)
  .max(2000)
  .readonly()
  .refine((keys) => keys.every(({ at }, i) => i === 0 || at > keys[i - 1].at), { error: 'keys ascend in time' })
  .refine((keys) => keys.every(({ value }) => sortOf(value) === sortOf(keys[0].value)), {
    error: 'keys of one value are of one sort',
  });

/** Seconds within which two moments are the same. */
const SAME = 1e-6;

export const isKeyValue = (value: unknown): value is KeyValue => keyValueSchema.safeParse(value).success;

const sortOf = (value: KeyValue): 'number' | 'colour' | 'place' =>
  typeof value === 'number' ? 'number' : typeof value === 'string' ? 'colour' : 'place';

/** The value at `moment` seconds: that of the first key before it, of the last one after it, and eased from one to the next in between. */
export function keyedValue(keys: readonly Key[], moment: number): KeyValue {
  const next = keys.findIndex(({ at }) => at > moment);
  if (next === 0) return keys[0].value;
  if (next < 0) return keys[keys.length - 1].value;
  const [a, b] = [keys[next - 1], keys[next]];
  return between(a.value, b.value, eased(a.easing, (moment - a.at) / (b.at - a.at)));
}

/** Colours are blended as light. */
function between(a: KeyValue, b: KeyValue, share: number): KeyValue {
  const mix = (from: number, to: number) => from + share * (to - from);
  if (typeof a === 'number') return typeof b === 'number' ? mix(a, b) : a;
  if (typeof a !== 'string') return typeof b === 'object' ? [mix(a[0], b[0]), mix(a[1], b[1]), mix(a[2], b[2])] : a;
  if (typeof b !== 'string') return a;
  const [from, to] = [fromHex(a), fromHex(b)];
  return toHex(from.map((c, i) => Math.min(Math.max(mix(c, to[i]), 0), 1)));
}

/** The keys with one more, or with the one at its time replaced. */
export const withKey = (keys: readonly Key[], key: Key): readonly Key[] =>
  [...keys.filter(({ at }) => Math.abs(at - key.at) >= SAME), key].toSorted((a, b) => a.at - b.at);

export const keyAt = (keys: readonly Key[], moment: number): Key | undefined =>
  keys.find(({ at }) => Math.abs(at - moment) < SAME);
