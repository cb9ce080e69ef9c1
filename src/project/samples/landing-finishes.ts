import type { FinishSpec, PlainFinish } from '../../core/segment/finish/finish-spec';
import type { PatternName } from '../../core/segment/finish/registry';
import { FINISH_DEFAULTS, PLAIN_FINISH } from '../defaults';

/** A part with a pattern over it; `repeat` in metres. */
export const patterned = (
  part: string,
  colour: string,
  pattern: PatternName,
  repeat: number,
  change: Partial<FinishSpec> = {},
): FinishSpec => ({
  part,
  ...FINISH_DEFAULTS,
  colour,
  texture: { from: 'pattern', pattern, seed: 1, contrast: 0.55 },
  repeat,
  ...change,
});

/** How something of the place looks. */
export const plain = (colour: string, change: Partial<PlainFinish> = {}): PlainFinish => ({ ...PLAIN_FINISH, colour, ...change }); // prettier-ignore
const tiled = (colour: string, pattern: PatternName, repeat: number, contrast = 0.5): PlainFinish =>
  plain(colour, { texture: { from: 'pattern', pattern, seed: 2, contrast }, repeat, roughness: 0.95 });

export const GRASS = tiled('#a3ab6f', 'grass', 2.2, 0.5);
export const WOODS = tiled('#66764a', 'grass', 5, 0.7);
export const MUD = tiled('#9a8b70', 'sand', 6, 0.45);
export const WOOD = tiled('#a98f6d', 'planks', 1.2, 0.55);
export const STONE = tiled('#b3aa98', 'stones', 1.6, 0.45);
export const WHITE = tiled('#ece6d8', 'planks', 1.4, 0.18);
export const RED = tiled('#a4513f', 'planks', 1.1, 0.3);
export const SLATE = tiled('#5d6468', 'stones', 1.1, 0.4);
export const STEEL = plain('#59646b', { roughness: 0.5, metalness: 0.7 });
export const HULL = plain('#31505f', { roughness: 0.55 });
export const GLASS = plain('#26343d', { roughness: 0.18 });
