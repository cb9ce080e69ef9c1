/** How many tolerances wide a cell is: wider ones hold more vertices, narrower ones need more neighbours looked at. */
const CELL = 4;

/**
 * For every vertex the first vertex within `tolerance` of it (itself where there is none before it); metres, above 0. Found through a
 * grid of cells: linear time for meshes whose vertices do not crowd.
 */
export function nearPlaces(positions: Float32Array, tolerance: number): Uint32Array {
  const count = positions.length / 3;
  const buckets = new Buckets(count);
  const { heads, next, mask } = buckets;
  const found = new Uint32Array(count);
  const perCell = 1 / (CELL * tolerance);
  const square = tolerance * tolerance;
  const cell = (x: number) => Math.floor(x * perCell);
  for (let v = 0; v < count; v++) {
    const x = positions[v * 3];
    const y = positions[v * 3 + 1];
    const z = positions[v * 3 + 2];
    let hit = count;
    for (let cx = cell(x - tolerance); cx <= cell(x + tolerance); cx++) {
      for (let cy = cell(y - tolerance); cy <= cell(y + tolerance); cy++) {
        for (let cz = cell(z - tolerance); cz <= cell(z + tolerance); cz++) {
          for (let o = heads[hash(cx, cy, cz) & mask]; o >= 0; o = next[o]!) {
            const dx = positions[o * 3] - x;
            const dy = positions[o * 3 + 1] - y;
            const dz = positions[o * 3 + 2] - z;
            if (o < hit && dx * dx + dy * dy + dz * dz <= square) hit = o;
          }
        }
      }
    }
    found[v] = hit < count ? hit : v;
    if (hit === count) buckets.put(v, hash(cell(x), cell(y), cell(z)) & mask);
  }
  return found;
}

/** Spreads three whole numbers over 32 bits; the last mixing keeps the low bits of round numbers apart. */
function hash(x: number, y: number, z: number): number {
  const h = Math.imul(x, 73856093) ^ Math.imul(y, 19349663) ^ Math.imul(z, 83492791);
  const mixed = Math.imul(h ^ (h >>> 16), 0x45d9f3b);
  return mixed ^ (mixed >>> 16);
}

/** Vertices in lists by the bucket that they hash to. */
class Buckets {
  readonly heads: Int32Array;
  readonly next: Int32Array;
  readonly mask: number;

  constructor(count: number) {
    const size = 1 << Math.max(Math.ceil(Math.log2(count + 1)) + 1, 4);
    this.heads = new Int32Array(size).fill(-1);
    this.next = new Int32Array(count);
    this.mask = size - 1;
  }

  put(v: number, bucket: number): void {
    this.next[v] = this.heads[bucket]!;
    this.heads[bucket] = v;
  }
}
