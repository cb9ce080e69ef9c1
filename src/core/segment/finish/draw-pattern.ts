import { tilingNoise } from './pattern';
import { patternOf, type PatternName } from './registry';

export interface PatternSpec {
  readonly pattern: PatternName;
  readonly seed: number;
  /** The darker of its two colours as a share of the lighter one, 0 to 1. */
  readonly contrast: number;
}

/** Three tiling images, RGBA, `size` x `size` bytes times four, first row = v 0. */
export interface PatternImages {
  readonly size: number;
  /** Shades of grey around white, to be multiplied with the material's colour. sRGB. */
  readonly colour: Uint8Array;
  /** Tangent space, y up as glTF asks for. */
  readonly normal: Uint8Array;
  /** Roughness in green, metalness in blue (255: the material's own counts). */
  readonly surface: Uint8Array;
}

/** Draws a pattern; normals from differences of its height, which wrap as the pattern does. Deterministic for a seed. */
export function drawPattern({ pattern, seed, contrast }: PatternSpec, size = 256): PatternImages {
  const { sample, relief } = patternOf(pattern);
  const noise = tilingNoise(seed);
  const heights = new Float32Array(size * size);
  const images = { size, colour: bytes(size), normal: bytes(size), surface: bytes(size) };
  for (let y = 0; y < size; y++) {
    for (let x = 0; x < size; x++) {
      const { height, shade, roughness } = sample((x + 0.5) / size, (y + 0.5) / size, noise);
      const at = (y * size + x) * 4;
      heights[y * size + x] = height;
      images.colour.fill(Math.round(255 * (1 - contrast * (1 - shade))), at, at + 3);
      images.surface[at] = 255;
      images.surface[at + 1] = Math.round(255 * roughness);
      images.surface[at + 2] = 255;
    }
  }
  const slope = (relief * size) / 2;
  for (let y = 0; y < size; y++) {
    for (let x = 0; x < size; x++) {
      const h = (i: number, j: number) => heights[((j + size) % size) * size + ((i + size) % size)];
      // Image rows run down and the normal's y up.
      const n = [(h(x - 1, y) - h(x + 1, y)) * slope, (h(x, y + 1) - h(x, y - 1)) * slope, 1];
      const l = Math.hypot(n[0], n[1], 1);
      const at = (y * size + x) * 4;
      for (let c = 0; c < 3; c++) images.normal[at + c] = Math.round(127.5 + (127.5 * n[c]) / l);
    }
  }
  return images;
}

const bytes = (size: number): Uint8Array => new Uint8Array(size * size * 4).fill(255);
