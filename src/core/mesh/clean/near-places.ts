/**
 * For every vertex the first vertex within `tolerance` of it (itself where there is none before it); metres. Found through a grid
 * of cells as wide as the tolerance: linear time for meshes whose vertices do not crowd. Tolerance 0 = exactly equal places.
 */
export function nearPlaces(positions: Float32Array, tolerance: number): Uint32Array {
  const count = positions.length / 3;
  const cell = tolerance > 0 ? tolerance : 1;
  const size = 1 << Math.max(Math.ceil(Math.log2(count + 1)) + 1, 4);
  const heads = new Int32Array(size).fill(-1);
  const next = new Int32Array(count);
  const found = new Uint32Array(count);
  const bits = new Uint32Array(positions.buffer, positions.byteOffset, positions.length);
  const hash = (x: number, y: number, z: number) =>
    (Math.imul(x, 73856093) ^ Math.imul(y, 19349663) ^ Math.imul(z, 83492791)) & (size - 1);
  const square = tolerance * tolerance;
  for (let v = 0; v < count; v++) {
    const at = v * 3;
    const [x, y, z] = [positions[at]!, positions[at + 1]!, positions[at + 2]!];
    let hit = -1;
    if (tolerance === 0) {
      const bucket = hash(bits[at]!, bits[at + 1]!, bits[at + 2]!);
      for (let o = heads[bucket]!; o >= 0 && hit < 0; o = next[o]!) {
        if (positions[o * 3] === x && positions[o * 3 + 1] === y && positions[o * 3 + 2] === z) hit = o;
      }
      if (hit < 0) {
        next[v] = heads[bucket]!;
        heads[bucket] = v;
      }
    } else {
      const [cx, cy, cz] = [Math.floor(x / cell), Math.floor(y / cell), Math.floor(z / cell)];
      for (let n = 0; n < 27 && hit < 0; n++) {
        const bucket = hash(cx + (n % 3) - 1, cy + (Math.floor(n / 3) % 3) - 1, cz + Math.floor(n / 9) - 1);
        for (let o = heads[bucket]!; o >= 0 && hit < 0; o = next[o]!) {
          const [dx, dy, dz] = [positions[o * 3]! - x, positions[o * 3 + 1]! - y, positions[o * 3 + 2]! - z];
          if (dx * dx + dy * dy + dz * dz <= square) hit = o;
        }
      }
      if (hit < 0) {
        const bucket = hash(cx, cy, cz);
        next[v] = heads[bucket]!;
        heads[bucket] = v;
      }
    }
    found[v] = hit < 0 ? v : hit;
  }
  return found;
}
