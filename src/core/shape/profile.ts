import { z } from 'zod';
import type { FormField } from '../math/form-field';
import type { Kind } from '../math/kind';
import type { BlendName, LaneKey } from './lane-spec';

/** A way for a run to get thinner and thicker along its reach, written as keys of its gauge; adding one is a file in `profiles/` and a line in its list. */
export interface Profile<K extends string = string, S extends z.ZodType = z.ZodType> extends Kind<K, S> {
  /** How a lane that was not there goes from key to key. */
  readonly blend: BlendName;
  /** Shares of the reach, ascending, and factors there. */
  keys(options: z.infer<S>): readonly LaneKey[];
}

export const defineProfile = <K extends string, S extends z.ZodType>(profile: Profile<K, S>): Profile<K, S> => profile;

export const shareSchema = z.number().min(0.001).max(1);
export const factorSchema = z.number().min(0.001).max(100);

/** Which end of a reach. */
export const endSchema = z.enum(['start', 'end']);

export const endField: FormField = {
  input: 'choice',
  key: 'end',
  label: 'At its',
  choices: [
    { value: 'end', label: 'end' },
    { value: 'start', label: 'start' },
  ],
};
export const shareField = (key: string, label: string): FormField => ({
  input: 'number',
  key,
  label,
  unit: 'share',
  step: 0.05,
  least: 0.001,
  most: 1,
});
export const factorField = (key: string, label: string): FormField => ({
  input: 'number',
  key,
  label,
  unit: 'share',
  step: 0.05,
  least: 0.001,
  most: 100,
});

/** Keys that were counted from the tip, at the end of a reach that is meant. */
export const atEnd = (end: z.infer<typeof endSchema>, fromTip: readonly LaneKey[]): readonly LaneKey[] =>
  end === 'start' ? fromTip : fromTip.map(({ station, value }) => ({ station: 1 - station, value })).toReversed();
