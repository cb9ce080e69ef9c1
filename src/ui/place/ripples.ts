import { DataTexture, LinearFilter, LinearMipmapLinearFilter, RepeatWrapping } from 'three';
import { tilingNoise } from '../../core/segment/finish/pattern';

/** Pixels of a side. */
const SIDE = 256;
/** Metres that it covers. */
export const RIPPLES_COVER = 9;

/** Normals of small waves, tiling. */
export function ripples(): DataTexture {
  const noise = tilingNoise(7);
  const height = (x: number, y: number) => {
    const [u, v] = [(((x % SIDE) + SIDE) % SIDE) / SIDE, (((y % SIDE) + SIDE) % SIDE) / SIDE];
    return 0.55 * noise(u, v, 12, 20) + 0.3 * noise(v, u, 34, 26) + 0.15 * noise(u, v, 70, 84);
  };
  const heights = new Float32Array(SIDE * SIDE);
  for (let y = 0; y < SIDE; y++) for (let x = 0; x < SIDE; x++) heights[y * SIDE + x] = height(x, y);
  const at = (x: number, y: number) => heights[((y + SIDE) % SIDE) * SIDE + ((x + SIDE) % SIDE)];
  const data = new Uint8Array(SIDE * SIDE * 4);
  for (let y = 0; y < SIDE; y++)
    for (let x = 0; x < SIDE; x++) {
      const [nx, ny] = [(at(x - 1, y) - at(x + 1, y)) * 3, (at(x, y - 1) - at(x, y + 1)) * 3];
      const l = Math.hypot(nx, ny, 1);
      data.set([127.5 + (127.5 * nx) / l, 127.5 + (127.5 * ny) / l, 127.5 + 127.5 / l, 255], (y * SIDE + x) * 4);
    }
  const texture = new DataTexture(data, SIDE, SIDE);
  texture.wrapS = texture.wrapT = RepeatWrapping;
  texture.magFilter = LinearFilter;
  texture.minFilter = LinearMipmapLinearFilter;
  texture.generateMipmaps = true;
  texture.anisotropy = 8;
  texture.needsUpdate = true;
  return texture;
}
