import type { Mesh } from '../mesh';
import { nearPlaces } from './near-places';
import { withTriangles } from './with-triangles';

export interface LooseParts {
  readonly count: number;
  /** For each triangle the number of its part, from the largest on. */
  readonly of: Uint32Array;
  /** Area of each part, square metres, falling. */
  readonly areas: Float64Array;
}

/** The parts of a mesh that hang together by their vertices' places. */
export function looseParts(
  { positions: p, indices }: Pick<Mesh, 'positions' | 'indices'>,
  places = nearPlaces(p, 0),
): LooseParts {
  const root = places.slice();
  const find = (v: number) => {
    while (root[v] !== v) v = root[v] = root[root[v]!]!;
    return v;
  };
  for (let i = 0; i < indices.length; i += 3) {
    const a = find(indices[i]!);
    root[find(indices[i + 1]!)] = a;
    root[find(indices[i + 2]!)] = a;
  }
  const sums = new Float64Array(root.length);
  const triangles = indices.length / 3;
  const owner = new Uint32Array(triangles);
  for (let t = 0; t < triangles; t++) {
    const [a, b, c] = [indices[t * 3]! * 3, indices[t * 3 + 1]! * 3, indices[t * 3 + 2]! * 3];
    const [ux, uy, uz] = [p[b]! - p[a]!, p[b + 1]! - p[a + 1]!, p[b + 2]! - p[a + 2]!];
    const [vx, vy, vz] = [p[c]! - p[a]!, p[c + 1]! - p[a + 1]!, p[c + 2]! - p[a + 2]!];
    owner[t] = find(indices[t * 3]!);
    sums[owner[t]!]! += Math.sqrt((uy * vz - uz * vy) ** 2 + (uz * vx - ux * vz) ** 2 + (ux * vy - uy * vx) ** 2) / 2;
  }
  const isPart = new Uint8Array(root.length);
  for (const id of owner) isPart[id] = 1;
  const ids: number[] = [];
  for (let id = 0; id < isPart.length; id++) if (isPart[id] === 1) ids.push(id);
  const order = ids.sort((a, b) => sums[b]! - sums[a]! || a - b);
  const rank = new Uint32Array(root.length);
  order.forEach((id, i) => (rank[id] = i));
  return {
    count: order.length,
    of: owner.map((id) => rank[id]!),
    areas: Float64Array.from(order, (id) => sums[id]!),
  };
}

/** Drops loose parts whose area is less than `share` of the largest one's. */
export function dropSpecks(mesh: Mesh, share: number): Mesh {
  const parts = looseParts(mesh);
  const least = (parts.areas[0] ?? 0) * share;
  return withTriangles(mesh, (i) => parts.areas[parts.of[i / 3]!]! >= least);
}
