import { ON_PLANE_RELATIVE } from '../math/tolerance';
import { reorderVertices } from '../mesh/reorder';
import type { PreparedSegment } from './prepared-segment';

/**
 * The segment with its rows at x = `at` (metres, ascending) doubled: what lies before such a row keeps one copy, what lies behind it the
 * other. The places of the second copies among the rows become its `corners`. Linear in vertices and triangles.
 */
export function splitRows(segment: PreparedSegment, at: readonly number[]): PreparedSegment {
  const { mesh, rows, length } = segment;
  const near = length * ON_PLANE_RELATIVE;
  const split = rowsAt(segment, at);
  if (split.length === 0) return segment;
  // (1) The vertices with those of split rows twice.
  const count = mesh.positions.length / 3;
  const order: number[] = [];
  const copyOf = new Int32Array(count).fill(-1);
  const place = new Uint32Array(count);
  const doubled: number[] = [];
  const corners: number[] = [];
  for (let r = 0; r + 1 < rows.length; r++) {
    doubled.push(order.length);
    for (let v = rows[r]; v < rows[r + 1]; v++) place[v] = order.push(v) - 1;
    if (!split.includes(r)) continue;
    corners.push(doubled.length);
    doubled.push(order.length);
    for (let v = rows[r]; v < rows[r + 1]; v++) copyOf[v] = order.push(v) - 1;
  }
  doubled.push(order.length);
  // (2) Triangles that go on behind the row take the second copies.
  const { positions, indices } = mesh;
  const moved = new Uint32Array(indices.length);
  for (let i = 0; i < indices.length; i += 3) {
    let far = -Infinity;
    for (let k = i; k < i + 3; k++) far = Math.max(far, positions[indices[k] * 3]);
    for (let k = i; k < i + 3; k++) {
      const v = indices[k];
      moved[k] = copyOf[v] >= 0 && far > positions[v * 3] + near ? copyOf[v] : place[v];
    }
  }
  const grown = reorderVertices(mesh, Uint32Array.from(order));
  return { ...segment, mesh: { ...grown, indices: moved }, rows: Uint32Array.from(doubled), corners };
}

/** The rows at some x, by number. */
function rowsAt({ mesh: { positions }, rows, length }: PreparedSegment, at: readonly number[]): number[] {
  const found: number[] = [];
  for (let r = 0, k = 0; r + 1 < rows.length && k < at.length; r++) {
    const x = positions[rows[r] * 3];
    while (k < at.length && at[k] < x - length * ON_PLANE_RELATIVE * 2) k++;
    if (k < at.length && Math.abs(at[k] - x) <= length * ON_PLANE_RELATIVE * 2) found.push(r);
  }
  return found;
}
