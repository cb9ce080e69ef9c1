import type { Mesh } from '../mesh';
import { samePlaces } from './same-places';
import { triangleArea } from '../measure';
import { onlyUsed } from './only-used';
import { withTriangles } from './with-triangles';

export interface LooseParts {
  readonly count: number;
  /** For each triangle the number of its part, from the largest on. */
  readonly of: Uint32Array;
  /** Area of each part, square metres, falling. */
  readonly areas: Float64Array;
}

const known = new WeakMap<object, LooseParts>();

/** The parts of a mesh that hang together by their vertices' places; found once a mesh. */
export async function looseParts(mesh: Pick<Mesh, 'positions' | 'indices'>): Promise<LooseParts> {
  let parts = known.get(mesh);
  if (!parts) known.set(mesh, (parts = await findParts(mesh)));
  return parts;
}

async function findParts({ positions: p, indices }: Pick<Mesh, 'positions' | 'indices'>): Promise<LooseParts> {
  const root = (await samePlaces(p)).slice();
  const find = (v: number) => {
    while (root[v] !== v) v = root[v] = root[root[v]]!;
    return v;
  };
  for (let i = 0; i < indices.length; i += 3) {
    const a = find(indices[i]);
    const b = find(indices[i + 1]);
    const c = find(indices[i + 2]);
    const least = Math.min(a, b, c); // roots fall, so that paths stay short
    root[a] = root[b] = root[c] = least;
  }
  const sums = new Float64Array(root.length);
  const triangles = indices.length / 3;
  const owner = new Uint32Array(triangles);
  for (let t = 0; t < triangles; t++) {
    const part = find(indices[t * 3]);
    owner[t] = part;
    sums[part] += triangleArea(p, indices[t * 3] * 3, indices[t * 3 + 1] * 3, indices[t * 3 + 2] * 3);
  }
  const isPart = new Uint8Array(root.length);
  for (let t = 0; t < triangles; t++) isPart[owner[t]] = 1;
  const ids: number[] = [];
  for (let id = 0; id < isPart.length; id++) if (isPart[id] === 1) ids.push(id);
  const order = ids.sort((a, b) => sums[b] - sums[a] || a - b);
  const rank = new Uint32Array(root.length);
  order.forEach((id, i) => (rank[id] = i));
  for (let t = 0; t < triangles; t++) owner[t] = rank[owner[t]]!;
  return {
    count: order.length,
    of: owner,
    areas: Float64Array.from(order, (id) => sums[id]),
  };
}

/** Drops loose parts whose area is less than `share` of the largest one's. */
export async function dropSpecks(mesh: Mesh, share: number): Promise<Mesh> {
  const parts = await looseParts(mesh);
  const least = (parts.areas[0] ?? 0) * share;
  return onlyUsed(withTriangles(mesh, (i) => parts.areas[parts.of[i / 3]] >= least));
}
