import { z } from 'zod';
import { maskSpecSchema } from '../../mesh/mask-registry';
import { PATTERN_NAMES } from './registry';

/** An image or a pattern laid over a part. */
const textureSpecSchema = z.discriminatedUnion('from', [
  z.strictObject({
    from: z.literal('pattern'),
    pattern: z.enum(PATTERN_NAMES),
    seed: z.number().int().min(0).max(1e6),
    contrast: z.number().min(0).max(1),
  }),
  z.strictObject({
    from: z.literal('image'),
    /** Name of the image among the project's assets: SHA-256 of its bytes, hexadecimal. */
    asset: z.string().regex(/^[0-9a-f]{64}$/),
    fileName: z.string().max(400),
    mime: z.enum(['image/png', 'image/jpeg', 'image/webp']),
  }),
]);

/** Of what has no parts: the ground, a guide, a coat. */
const plainShape = {
  colour: z.string().regex(/^#[0-9a-f]{6}$/),
  roughness: z.number().min(0).max(1),
  metalness: z.number().min(0).max(1),
  /** Strength of the relief; 1 = as the pattern has it. */
  bump: z.number().min(0).max(4),
  texture: textureSpecSchema.nullable(),
  /** Metres that one repeat covers along the segment. */
  repeat: z.number().min(1e-4).max(1e4),
};

/** How something looks that has no parts. Textures lie on it by the metre. */
export const plainFinishSchema = z.strictObject(plainShape);

/** What lies over a part here and there: moss, wear, snow. */
const coatSpecSchema = z.strictObject({ mask: maskSpecSchema, finish: plainFinishSchema });

/** How one part of a segment looks, over what the segment brings. */
export const finishSpecSchema = z.strictObject({
  part: z.string().max(200),
  ...plainShape,
  /** Radians, and metres along and round. */
  turn: z.number().min(-7).max(7),
  shiftAlong: z.number().min(-1e4).max(1e4),
  shiftRound: z.number().min(-1e4).max(1e4),
  /** Whole repeats in each piece, or running on from piece to piece. */
  fit: z.enum(['whole', 'onward']),
  coat: coatSpecSchema.optional(),
});

export type CoatSpec = z.infer<typeof coatSpecSchema>;
export type PlainFinish = z.infer<typeof plainFinishSchema>;
export type TextureSpec = z.infer<typeof textureSpecSchema>;
export type FinishSpec = z.infer<typeof finishSpecSchema>;
