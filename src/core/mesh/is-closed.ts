import { boxOf, boxSize } from './box';
import { eachEdge, edgeKey } from './edges';
import type { Mesh } from './mesh';

/**
 * Whether the mesh is watertight: with vertices at one place taken as one, every edge is run through as often one way as
 * the other. Time and memory linear in the edges.
 */
export function isClosed({ positions, indices }: Pick<Mesh, 'positions' | 'indices'>): boolean {
  if (indices.length === 0) return false;
  const places = placeOf(positions);
  const balance = new Map<number, number>();
  eachEdge(indices, places, (a, b) => {
    const key = edgeKey(a, b, places.length);
    const left = (balance.get(key) ?? 0) + (a < b ? 1 : -1);
    if (left === 0) balance.delete(key);
    else balance.set(key, left);
  });
  return balance.size === 0;
}

/** For every vertex the first vertex at the same place, to a millionth of the mesh's size. */
export function placeOf(positions: Float32Array): Uint32Array {
  const grid = Math.max(...boxSize(boxOf(positions)), 1e-12) * 1e-6;
  const first = new Map<string, number>();
  return Uint32Array.from({ length: positions.length / 3 }, (_, v) => {
    const key = `${Math.round(positions[v * 3] / grid)},${Math.round(positions[v * 3 + 1] / grid)},${Math.round(positions[v * 3 + 2] / grid)}`;
    const seen = first.get(key);
    if (seen !== undefined) return seen;
    first.set(key, v);
    return v;
  });
}
