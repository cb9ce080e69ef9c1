import type { z } from 'zod';
import type { FormField } from '../../math/form-field';
import type { LaneKey } from '../lane-spec';
import { atEnd, endField, endSchema, factorField, factorSchema, shareField, shareSchema } from '../profile';

/** What is said of an end that gets thinner: which, over how much of the reach, and down to what. */
export const tipOptions = { end: endSchema, over: shareSchema, tip: factorSchema };

export const tipFields: readonly FormField[] = [endField, shareField('over', 'Over'), factorField('tip', 'Tip')];

/** As thick as it is away from the tip. */
export const tipKeys = (options: { end: z.infer<typeof endSchema>; over: number; tip: number }): readonly LaneKey[] =>
  atEnd(options.end, [{ station: 0, value: options.tip }, { station: options.over, value: 1 }]); // prettier-ignore
