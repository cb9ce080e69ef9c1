import type { PreparedSegment } from '../segment/prepared-segment';

/**
 * Metres: how high the upper side of a segment lies at `z` metres to its right, half way along it, or how low its lower side does; undefined where
 * there is none of it. Linear in triangles.
 */
export function sectionAt({ mesh, length }: PreparedSegment, z: number, side: 'upper' | 'lower'): number | undefined {
  const { positions: p, indices } = mesh;
  const x = length / 2;
  let found: number | undefined;
  for (let i = 0; i < indices.length; i += 3) {
    const [a, b, c] = [indices[i] * 3, indices[i + 1] * 3, indices[i + 2] * 3];
    // Barycentric coordinates as seen from above.
    const area = (p[b] - p[a]) * (p[c + 2] - p[a + 2]) - (p[c] - p[a]) * (p[b + 2] - p[a + 2]);
    if (area === 0) continue;
    const u = ((x - p[a]) * (p[c + 2] - p[a + 2]) - (p[c] - p[a]) * (z - p[a + 2])) / area;
    const v = ((p[b] - p[a]) * (z - p[a + 2]) - (x - p[a]) * (p[b + 2] - p[a + 2])) / area;
    if (u < -1e-6 || v < -1e-6 || u + v > 1 + 1e-6) continue;
    const y = p[a + 1] + u * (p[b + 1] - p[a + 1]) + v * (p[c + 1] - p[a + 1]);
    if (found === undefined || (side === 'upper' ? y > found : y < found)) found = y;
  }
  return found;
}
