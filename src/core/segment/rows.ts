import type { PreparedSegment } from './prepared-segment';
import { SAME_ROW_RELATIVE } from '../math/tolerance';

/** First vertex of each row of vertices that share their x, closed by the vertex count. `positions` sorted by x. */
export function findRows(positions: Float32Array, length: number): Uint32Array {
  const near = length * SAME_ROW_RELATIVE;
  const rows: number[] = [];
  let x = -Infinity;
  for (let v = 0; v * 3 < positions.length; v++) {
    if (positions[v * 3] - x > near) {
      rows.push(v);
      x = positions[v * 3]!;
    }
  }
  rows.push(positions.length / 3);
  return Uint32Array.from(rows);
}

const known = new WeakMap<Uint32Array, Float32Array>();

/** The x of every row, metres; read from the mesh once, where it lies far apart. */
export function rowXs({ mesh, rows }: Pick<PreparedSegment, 'mesh' | 'rows'>): Float32Array {
  let xs = known.get(rows);
  if (!xs) known.set(rows, (xs = Float32Array.from(rows.subarray(0, -1), (first) => mesh.positions[first * 3])));
  return xs;
}
