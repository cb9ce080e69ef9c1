import type { GuideMesh } from './guide-body';

/**
 * A flat body of this thickness about the plane y = 0; its outline, x, z in metres, turns from x to z and is seen whole from the middle.
 * Every side keeps a normal of its own.
 */
export function prismBody(
  outline: readonly (readonly [number, number])[],
  thickness: number,
): Pick<GuideMesh, 'positions' | 'normals' | 'indices'> {
  const positions: number[] = [];
  const normals: number[] = [];
  const indices: number[] = [];
  const put = (x: number, y: number, z: number, normal: readonly number[]): number => {
    positions.push(x, y, z);
    normals.push(...normal);
    return positions.length / 3 - 1;
  };
  const n = outline.length;
  for (const up of [1, -1]) {
    const y = (up * thickness) / 2;
    const middle = put(0, y, 0, [0, up, 0]);
    for (const [x, z] of outline) put(x, y, z, [0, up, 0]);
    for (let i = 0; i < n; i++) {
      const [a, b] = [middle + 1 + i, middle + 1 + ((i + 1) % n)];
      indices.push(...(up > 0 ? [middle, b, a] : [middle, a, b]));
    }
  }
  outline.forEach(([x, z], i) => {
    const [nextX, nextZ] = outline[(i + 1) % n];
    const l = Math.hypot(nextX - x, nextZ - z) || 1;
    const normal = [(nextZ - z) / l, 0, (x - nextX) / l];
    const [a, b, c, d] = [
      [x, -1, z],
      [nextX, -1, nextZ],
      [nextX, 1, nextZ],
      [x, 1, z],
    ].map(([px, up, pz]) => put(px, (up * thickness) / 2, pz, normal));
    indices.push(a, c, b, a, d, c);
  });
  return {
    positions: Float32Array.from(positions),
    normals: Float32Array.from(normals),
    indices: Uint32Array.from(indices),
  };
}
