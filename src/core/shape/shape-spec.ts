import { z } from 'zod';
import { frameSpecSchema } from '../frames/registry';
import { followsSchema } from './follower-registry';
import { LANE_NAMES } from './lane';
import { isGauge, laneSpecSchema } from './lane-spec';

const lanes = LANE_NAMES.map((name) => {
  const spec = isGauge(name)
    ? laneSpecSchema.refine(({ keys }) => keys.every(({ value }) => value > 0), { error: 'a gauge is more than 0' })
    : name === 'density'
      ? laneSpecSchema.refine(({ keys }) => keys.every(({ value }) => value >= 0), {
          error: 'a density is not below 0',
        })
      : laneSpecSchema;
  return [name, spec.optional()] as const;
});

/** How a run lies along its path. */
export const shapeSpecSchema = z.strictObject({
  frames: frameSpecSchema,
  /** Roll about the path at the start of the reach, radians. */
  roll: z.number().min(-1e4).max(1e4),
  /** Whole or broken turns about the path over the reach. */
  turns: z.number().min(-1e4).max(1e4),
  /** Thickness factor across the path. */
  gauge: z.number().min(1e-4).max(1e4),
  /** Metres that the whole run lies above its path, plumb whatever its frames do; absent = none. */
  lift: z.number().min(-1e4).max(1e4).optional(),
  /** What changes along the length beside these: radians, factors, metres. They go with the run when it moves. */
  lanes: z
    .strictObject(Object.fromEntries(lanes) as Record<(typeof LANE_NAMES)[number], (typeof lanes)[number][1]>)
    .optional(),
  /** Metres to which corners of the path are rounded that say nothing of themselves; absent = they stay as they are. */
  cornerRadius: z.number().min(0).max(1e6).optional(),
  /** Stretches that stay straight, metres of the path as it is drawn; it bends smoothly on either side. */
  stiff: z
    .array(z.strictObject({ from: z.number().min(0).max(1e7), to: z.number().min(0).max(1e7) }))
    .max(200)
    .readonly()
    .optional(),
  /** What follows from how the path bends. */
  follows: followsSchema.optional(),
});

export type ShapeSpec = z.infer<typeof shapeSpecSchema>;
