import type { Mesh, Part } from '../../mesh/mesh';

/** Texture coordinates that change by less than this a metre say nothing. */
const LEAST_RATE = 1e-6;
/** Faces whose normals lie further along x than this are ends: coordinates there say nothing of the way along. */
const END_FACE = 0.5;

/** How texture coordinates run: by how much u and v change a metre along x, and square to it. */
interface Rates {
  readonly along: readonly [number, number];
  readonly across: readonly [number, number];
}

/**
 * The texture coordinates of a mesh (segment space, metres) with those of some parts in metres: u along the run, v across it. Whichever of u
 * and v runs along is measured, as a mean over the surface; where neither does, places themselves count. A new array.
 */
export function metricUvs(mesh: Mesh, parts: readonly Part[]): Float32Array {
  const uvs = mesh.uvs.slice();
  for (const part of parts) {
    const { along, across } = ratesOf(mesh, part);
    const a = Math.abs(along[0]) >= Math.abs(along[1]) ? 0 : 1;
    const [rate, other] = [along[a], across[1 - a]];
    const isMapped = Math.abs(rate) > LEAST_RATE && other > LEAST_RATE;
    for (let i = part.start; i < part.start + part.count; i++) {
      const v = mesh.indices[i];
      uvs[v * 2] = isMapped ? mesh.uvs[v * 2 + a] / rate : mesh.positions[v * 3];
      uvs[v * 2 + 1] = isMapped ? mesh.uvs[v * 2 + 1 - a] / other : acrossAt(mesh, v);
    }
  }
  return uvs;
}

/** Seen from above or from the side, as the surface looks. */
function acrossAt({ positions, normals }: Mesh, v: number): number {
  const [y, z] = [Math.abs(normals[v * 3 + 1]), Math.abs(normals[v * 3 + 2])];
  return y > z ? positions[v * 3 + 2] : positions[v * 3 + 1];
}

/** Means over the faces, by area: of the signed slope along x, and of the steepness square to it. */
function ratesOf({ positions: p, uvs, indices }: Mesh, { start, count }: Part): Rates {
  const along: [number, number] = [0, 0];
  const across: [number, number] = [0, 0];
  let area = 0;
  for (let i = start; i < start + count; i += 3) {
    const [a, b, c] = [indices[i], indices[i + 1], indices[i + 2]];
    const e = [0, 1, 2].map((k) => p[b * 3 + k] - p[a * 3 + k]) as [number, number, number];
    const f = [0, 1, 2].map((k) => p[c * 3 + k] - p[a * 3 + k]) as [number, number, number];
    const n = [e[1] * f[2] - e[2] * f[1], e[2] * f[0] - e[0] * f[2], e[0] * f[1] - e[1] * f[0]] as const;
    const size = Math.hypot(...n);
    if (size === 0 || Math.abs(n[0]) > END_FACE * size) continue;
    area += size;
    for (const k of [0, 1] as const) {
      const [d, g] = [uvs[b * 2 + k] - uvs[a * 2 + k], uvs[c * 2 + k] - uvs[a * 2 + k]];
      // Gradient in the face's plane: (d (f x n) + g (n x e)) / n^2; its component along x, and the rest.
      const x = (d * (f[1] * n[2] - f[2] * n[1]) + g * (n[1] * e[2] - n[2] * e[1])) / size ** 2;
      const y = (d * (f[2] * n[0] - f[0] * n[2]) + g * (n[2] * e[0] - n[0] * e[2])) / size ** 2;
      const z = (d * (f[0] * n[1] - f[1] * n[0]) + g * (n[0] * e[1] - n[1] * e[0])) / size ** 2;
      along[k] += x * size;
      across[k] += Math.hypot(y, z) * size;
    }
  }
  const mean = (sums: readonly [number, number]): [number, number] => [sums[0] / (area || 1), sums[1] / (area || 1)];
  return { along: mean(along), across: mean(across) };
}
