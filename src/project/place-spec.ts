import { z } from 'zod';
import { vec3Schema } from '../core/curve/path-spec';
import { plainFinishSchema } from '../core/segment/finish/finish-spec';

const height = z.number().min(-1e5).max(1e5);

/** Where the runs stand: light, air, ground and water of the picture. Nothing of it is baked. */
export const placeSpecSchema = z.strictObject({
  /** Radians: from where it shines, clockwise from north (-z) as seen from above, and how high it stands. */
  sun: z.strictObject({
    bearing: z.number().min(-7).max(7),
    height: z
      .number()
      .min(0.02)
      .max(Math.PI / 2),
  }),
  /** Metres at which half of what one sees is lost in it; null = clear. */
  mist: z.number().min(1).max(1e6).nullable(),
  /** null = as plain as the table that one works on. */
  ground: plainFinishSchema.nullable(),
  /** Metres; null = under all there is. */
  groundHeight: height.nullable(),
  /** Metres; null = there is none. */
  water: height.nullable(),
});

/** A view to come back to. Metres. */
export const cameraSchema = z.strictObject({
  id: z.string().regex(/^[A-Za-z0-9_-]{1,64}$/),
  name: z.string().trim().min(1).max(200),
  position: vec3Schema,
  target: vec3Schema,
});

export type PlaceSpec = z.infer<typeof placeSpecSchema>;
export type SavedCamera = z.infer<typeof cameraSchema>;

export const PLACE_DEFAULTS: PlaceSpec = {
  sun: { bearing: 2.12, height: 0.96 },
  mist: null,
  ground: null,
  groundHeight: null,
  water: null,
};
