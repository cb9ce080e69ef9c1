import { z } from 'zod';
import type { FormField } from '../../math/form-field';
import type { LaneKey } from '../lane-spec';
import { factorField, factorSchema, shareField, shareSchema } from '../profile';

/** What is said of a place of another thickness: where, over how much of the reach, and how thick. */
export const bulgeOptions = { at: z.number().min(0).max(1), over: shareSchema, by: factorSchema };

export const bulgeFields: readonly FormField[] = [
  shareField('at', 'At'),
  shareField('over', 'Over'),
  factorField('by', 'To'),
];

/** As thick as it is on either side; at an end of the reach as much of the change as comes so far. */
export function bulgeKeys({ at, over, by }: { at: number; over: number; by: number }): readonly LaneKey[] {
  const half = over / 2;
  const side = (asked: number): LaneKey => {
    const station = Math.min(Math.max(asked, 0), 1);
    return { station, value: 1 + (by - 1) * (1 - Math.abs(station - at) / half) };
  };
  const keys = [side(at - half), { station: at, value: by }, side(at + half)];
  return keys.filter(({ station }, i) => i === 1 || station !== at);
}
