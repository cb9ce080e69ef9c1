import { withVerticesBetween } from '../attributes';
import { edgeKey, edgesOf, nextCorner, type Edge } from '../edges';
import type { Mesh, Part } from '../mesh';
import { samePlaces } from './same-places';

/**
 * One step of Loop subdivision with J. Warren's weights (C. Loop, Smooth subdivision surfaces based on triangles, 1987): every triangle
 * becomes four. Open edges keep their outline as a cubic B-spline; texture coordinates and colours run on linearly; normals are left
 * for {@link creaseNormals}.
 */
export async function subdivide(mesh: Mesh): Promise<Mesh> {
  const { positions: p, indices } = mesh;
  const places = await samePlaces(p);
  const count = places.length;
  const key = (a: number, b: number) => edgeKey(a, b, count);
  // (1) Edges between places, and the place opposite to one that a corner begins.
  const edges = edgesOf(indices, places);
  const opposite = (corner: number) => places[indices[nextCorner(nextCorner(corner))]];
  // (2) The old vertices' new places, from their neighbours or, on an open edge, from the two along it.
  const sums = new Float64Array(count * 3);
  const degree = new Uint32Array(count);
  const openSums = new Float64Array(count * 3);
  const openDegree = new Uint32Array(count);
  for (const { a, b, corners } of edges.values()) {
    for (const [v, o] of [
      [a, b],
      [b, a],
    ] as const) {
      degree[v]++;
      for (let c = 0; c < 3; c++) sums[v * 3 + c] += p[o * 3 + c];
      if (corners.length === 2) continue;
      openDegree[v]++;
      for (let c = 0; c < 3; c++) openSums[v * 3 + c] += p[o * 3 + c];
    }
  }
  const moved = (v: number, c: number): number => {
    const at = v * 3 + c;
    if (openDegree[v] > 0) return openDegree[v] === 2 ? 0.75 * p[at] + 0.125 * openSums[at] : p[at];
    const n = degree[v];
    const beta = n === 3 ? 3 / 16 : 3 / (8 * n);
    return (1 - n * beta) * p[at] + beta * sums[at];
  };
  const middle = ({ a, b, corners }: Edge, c: number): number => {
    const ends = p[a * 3 + c] + p[b * 3 + c];
    if (corners.length !== 2) return ends / 2;
    const [one, other] = [opposite(corners[0]), opposite(corners[1])];
    return 0.375 * ends + 0.125 * (p[one * 3 + c] + p[other * 3 + c]);
  };
  // (3) New vertices on the edges between old vertices, so that seams of the texture stay where they are.
  const halves = new Map<number, number>();
  const from: [number, number][] = [];
  const half = (a: number, b: number): number => {
    const known = halves.get(key(a, b));
    if (known !== undefined) return known;
    from.push([a, b]);
    halves.set(key(a, b), count + from.length - 1);
    return count + from.length - 1;
  };
  const out = new Uint32Array(indices.length * 4);
  for (let i = 0, o = 0; i < indices.length; i += 3) {
    const [a, b, c] = [indices[i], indices[i + 1], indices[i + 2]];
    const [ab, bc, ca] = [half(a, b), half(b, c), half(c, a)];
    for (const v of [a, ab, ca, ab, b, bc, ca, bc, c, ab, bc, ca]) out[o++] = v;
  }
  const total = count + from.length;
  const positions = new Float32Array(total * 3);
  for (let v = 0; v < count; v++) for (let c = 0; c < 3; c++) positions[v * 3 + c] = moved(places[v], c);
  from.forEach(([a, b], k) => {
    const edge = edges.get(key(places[a], places[b]));
    // An edge without length has no faces beside it.
    for (let c = 0; c < 3; c++) positions[(count + k) * 3 + c] = edge ? middle(edge, c) : p[a * 3 + c];
  });
  return {
    ...mesh,
    ...withVerticesBetween(
      mesh,
      from.flatMap(([a, b]) => [a, b, 0.5]),
    ),
    positions,
    indices: out,
    parts: mesh.parts.map((part): Part => ({ ...part, start: part.start * 4, count: part.count * 4 })),
  };
}
