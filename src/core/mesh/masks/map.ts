import { z } from 'zod';
import { defineMask } from '../mask';

/** Where a brought image is light, laid as textures are: wear, stains, paint that is gone. */
export const map = defineMask({
  kind: 'map',
  label: 'where an image says so',
  hint: 'A PNG file: light covers, dark does not',
  schema: z.strictObject({
    kind: z.literal('map'),
    /** SHA-256 of the image's bytes, hexadecimal; null = none is brought yet, and all is covered. */
    asset: z
      .string()
      .regex(/^[0-9a-f]{64}$/)
      .nullable(),
    fileName: z.string().max(400),
  }),
  defaults: { kind: 'map', asset: null, fileName: '' },
  fields: [],
  amountAt: () => 1,
});
