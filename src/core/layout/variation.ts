import { z } from 'zod';
import { seededRow } from '../math/random';
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

/** Numbers that a piece's look is drawn from. */
const DRAWN = 5;

/** The looks of pieces by their place, the same for the same seed and place; undefined where pieces do not differ. */
export function pieceLooks({ tint, shift, seed }: VariationSpec): (piece: number) => PieceLook | undefined {
  if (tint === 0 && shift === 0) return () => undefined;
  const draw = seededRow(seed);
  return (piece) => {
    const [all, red, green, blue, along] = Array.from({ length: DRAWN }, (_, k) => draw(piece * DRAWN + k)) as Five;
    const factor = (own: number) => 1 - tint * (0.75 * all + 0.25 * own);
    return { tint: [factor(red), factor(green), factor(blue)], shift: shift * along };
  };
}

type Five = [number, number, number, number, number];
