import { z } from 'zod';
import type { LaneKey } from '../lane-spec';
import { defineProfile, factorField, factorSchema, shareField, shareSchema } from '../profile';

const options = { at: z.number().min(0).max(1), over: shareSchema, by: factorSchema };
export const fields = [shareField('at', 'At'), shareField('over', 'Over'), factorField('by', 'To')];

/** As thick as it is on either side, another thickness in the middle; what lies beyond the reach is left out. */
export function bulge({ at, over, by }: { at: number; over: number; by: number }): readonly LaneKey[] {
  const half = over / 2;
  const side = (station: number) =>
    station < 0 || station > 1
      ? { station: Math.min(Math.max(station, 0), 1), value: 1 + ((by - 1) * (half - Math.abs(Math.min(Math.max(station, 0), 1) - at))) / half } // prettier-ignore
      : { station, value: 1 };
  const keys = [side(at - half), { station: at, value: by }, side(at + half)];
  return keys.filter(({ station }, i) => i === 1 || station !== at);
}

export const swelling = defineProfile({
  kind: 'swelling',
  label: 'Swelling',
  hint: 'Thicker at one place',
  schema: z.strictObject({ kind: z.literal('swelling'), ...options }),
  defaults: { kind: 'swelling', at: 0.5, over: 0.3, by: 1.5 },
  fields,
  blend: 'smooth',
  keys: bulge,
});

export const neck = defineProfile({
  kind: 'neck',
  label: 'Neck',
  hint: 'Thinner at one place',
  schema: z.strictObject({ kind: z.literal('neck'), ...options }),
  defaults: { kind: 'neck', at: 0.5, over: 0.3, by: 0.6 },
  fields,
  blend: 'smooth',
  keys: bulge,
});
