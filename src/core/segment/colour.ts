import { PLAIN_MATERIAL, type Material } from '../mesh/mesh';

/** One sRGB channel 0 to 255 as linear light 0 to 1 (IEC 61966-2-1). */
const toLinear = (c: number): number => (c <= 10.31475 ? c / 255 / 12.92 : ((c / 255 + 0.055) / 1.055) ** 2.4);

/** A material from a colour written #rrggbb. */
export const paint = (name: string, hex: string, roughness: number, metalness = 0): Material => ({
  ...{ ...PLAIN_MATERIAL, name, roughness, metalness },
  colour: [...fromHex(hex), 1],
});

/** A colour written #rrggbb as linear light. */
export function fromHex(hex: string): [number, number, number] {
  const n = Number.parseInt(hex.slice(1), 16);
  return [toLinear(n >> 16), toLinear((n >> 8) & 255), toLinear(n & 255)];
}

/** Linear light as a colour written #rrggbb. */
export function toHex([r, g, b]: readonly number[]): string {
  const byte = (c: number) => Math.round(255 * (c <= 0.0031308 ? c * 12.92 : 1.055 * c ** (1 / 2.4) - 0.055));
  return `#${[r, g, b].map((c) => byte(c).toString(16).padStart(2, '0')).join('')}`;
}
