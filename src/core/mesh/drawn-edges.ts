import type { Mesh } from './mesh';

/**
 * Edges of a mesh as one would draw them: rows, outlines and seams, without the diagonals that only part a face into triangles (those that are the
 * longest edge of both triangles beside them). Pairs of indices, flat. Linear in the triangles.
 */
export function drawnEdges({ positions, indices }: Pick<Mesh, 'positions' | 'indices'>): Uint32Array {
  const count = positions.length / 3;
  const length2 = (a: number, b: number) =>
    (positions[a * 3] - positions[b * 3]) ** 2 +
    (positions[a * 3 + 1] - positions[b * 3 + 1]) ** 2 +
    (positions[a * 3 + 2] - positions[b * 3 + 2]) ** 2;
  /** By edge: in how many triangles it is the longest, or `DRAWN` where it is not in one of them. */
  const seen = new Map<number, number>();
  for (let i = 0; i < indices.length; i += 3) {
    const corners = [indices[i], indices[i + 1], indices[i + 2]] as const;
    const lengths = [0, 1, 2].map((k) => length2(corners[k], corners[(k + 1) % 3]));
    const longest = Math.max(...lengths) * (1 - 1e-6);
    for (let k = 0; k < 3; k++) {
      const [a, b] = [corners[k], corners[(k + 1) % 3]];
      if (a === b) continue;
      const key = Math.min(a, b) * count + Math.max(a, b);
      const before = seen.get(key) ?? 0;
      seen.set(key, before === DRAWN || lengths[k] < longest ? DRAWN : before + 1);
    }
  }
  const edges: number[] = [];
  for (const [key, times] of seen) if (times !== 2) edges.push(Math.floor(key / count), key % count);
  return Uint32Array.from(edges);
}

const DRAWN = -1;
