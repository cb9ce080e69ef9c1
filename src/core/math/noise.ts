/** Value noise, 0 to 1, smooth, the same everywhere and always: numbers at whole places by hashing (Wang's integer hash, from memory), blended smoothly. */
export function valueNoise(x: number, y: number, z: number): number {
  const [i, j, k] = [Math.floor(x), Math.floor(y), Math.floor(z)];
  const [u, v, w] = [smooth(x - i), smooth(y - j), smooth(z - k)];
  let sum = 0;
  for (let corner = 0; corner < 8; corner++) {
    const [a, b, c] = [corner & 1, (corner >> 1) & 1, corner >> 2];
    sum += (a ? u : 1 - u) * (b ? v : 1 - v) * (c ? w : 1 - w) * numberAt(i + a, j + b, k + c);
  }
  return sum;
}

const smooth = (t: number): number => t * t * (3 - 2 * t);

function numberAt(i: number, j: number, k: number): number {
  let h = Math.imul(i, 0x9e3779b1) ^ Math.imul(j, 0x85ebca6b) ^ Math.imul(k, 0xc2b2ae35);
  h = Math.imul(h ^ 61 ^ (h >>> 16), 9);
  h = Math.imul(h ^ (h >>> 4), 0x27d4eb2d);
  return ((h ^ (h >>> 15)) >>> 0) / 2 ** 32;
}
