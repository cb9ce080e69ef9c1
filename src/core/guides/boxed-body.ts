import type { GuideMesh } from './guide-body';

/** A box between two corners, every side with normals of its own. */
export function boxedBody(
  min: readonly [number, number, number],
  max: readonly [number, number, number],
): Pick<GuideMesh, 'positions' | 'normals' | 'indices'> {
  const positions: number[] = [];
  const normals: number[] = [];
  const indices: number[] = [];
  for (let axis = 0; axis < 3; axis++) {
    for (const out of [1, -1]) {
      const base = positions.length / 3;
      const corners = [
        [0, 0],
        [1, 0],
        [1, 1],
        [0, 1],
      ];
      for (const [u, v] of corners) {
        const corner = [0, 0, 0];
        corner[axis] = out > 0 ? max[axis] : min[axis];
        corner[(axis + 1) % 3] = u ? max[(axis + 1) % 3] : min[(axis + 1) % 3];
        corner[(axis + 2) % 3] = v ? max[(axis + 2) % 3] : min[(axis + 2) % 3];
        positions.push(...corner);
        const normal = [0, 0, 0];
        normal[axis] = out;
        normals.push(...normal);
      }
      indices.push(...(out > 0 ? [0, 1, 2, 0, 2, 3] : [0, 2, 1, 0, 3, 2]).map((i) => base + i));
    }
  }
  return {
    positions: Float32Array.from(positions),
    normals: Float32Array.from(normals),
    indices: Uint32Array.from(indices),
  };
}
