import { toLinear, toSrgb } from '../math/srgb';
import { PLAIN_MATERIAL, type Material } from '../mesh/mesh';

/** A material from a colour written #rrggbb. */
export const paint = (name: string, hex: string, roughness: number, metalness = 0): Material => ({
  ...{ ...PLAIN_MATERIAL, name, roughness, metalness },
  colour: [...fromHex(hex), 1],
});

/** A colour written #rrggbb as linear light. */
export function fromHex(hex: string): [number, number, number] {
  const n = Number.parseInt(hex.slice(1), 16);
  return [toLinear((n >> 16) / 255), toLinear(((n >> 8) & 255) / 255), toLinear((n & 255) / 255)];
}

/** Linear light as a colour written #rrggbb. */
export function toHex([r, g, b]: readonly number[]): string {
  const byte = (c: number) => Math.round(255 * toSrgb(c));
  return `#${[r, g, b].map((c) => byte(c).toString(16).padStart(2, '0')).join('')}`;
}
