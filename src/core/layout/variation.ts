import { z } from 'zod';
import type { Vec3 } from '../math/vec3';

/** How far pieces of one run may differ in their look. */
export const variationSchema = z.strictObject({
  /** A piece may be darker than its colour by up to this share, a quarter of it in each of red, green and blue alone. */
  tint: z.number().min(0).max(1),
  /** Its texture may start up to this much further along: metres on made segments. */
  shift: z.number().min(0).max(1000),
  seed: z.number().int().min(0).max(1e6),
});

export type VariationSpec = z.infer<typeof variationSchema>;

export const NO_VARIATION: VariationSpec = { tint: 0, shift: 0, seed: 1 };

/** What sets one piece's look apart from the segment's. */
export interface PieceLook {
  /** Factors for linear red, green and blue, at most 1: glTF clamps vertex colours there. */
  readonly tint: Vec3;
  /** Added to the first texture coordinate. */
  readonly shift: number;
}

/** The look of a piece, the same for the same seed and piece; undefined where pieces do not differ. */
export function pieceLook({ tint, shift, seed }: VariationSpec, piece: number): PieceLook | undefined {
  if (tint === 0 && shift === 0) return undefined;
  const [all, red, green, blue, along] = [0, 1, 2, 3, 4].map((k) => draw(seed, piece, k)) as Five;
  const factor = (own: number) => 1 - tint * (0.75 * all + 0.25 * own);
  return { tint: [factor(red), factor(green), factor(blue)], shift: shift * along };
}

type Five = [number, number, number, number, number];

/** Evenly spread in [0, 1): Wang's integer hash ("Integer Hash Function", 1997, from memory) of the three numbers. */
function draw(seed: number, piece: number, k: number): number {
  let h = (Math.imul(seed, 374761393) + Math.imul(piece, 668265263) + Math.imul(k, 2246822519)) >>> 0;
  h = (h ^ 61 ^ (h >>> 16)) >>> 0;
  h = Math.imul(h, 9);
  h ^= h >>> 4;
  h = Math.imul(h, 0x27d4eb2d);
  h ^= h >>> 15;
  return (h >>> 0) / 2 ** 32;
}
