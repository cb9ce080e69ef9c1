import type { Mesh, Part } from '../mesh';
import { samePlaces } from './near-places';

/**
 * One step of Loop subdivision with J. Warren's weights (C. Loop, Smooth subdivision surfaces based on triangles, 1987): every triangle
 * becomes four. Open edges keep their outline as a cubic B-spline; texture coordinates and colours run on linearly; normals are left
 * for {@link creaseNormals}.
 */
export function subdivide(mesh: Mesh): Mesh {
  const { positions: p, indices } = mesh;
  const places = samePlaces(p);
  const count = places.length;
  const key = (a: number, b: number) => (a < b ? a * count + b : b * count + a);
  // (1) Edges between places, with the corners opposite to them.
  const edges = new Map<number, { a: number; b: number; opposite: number[] }>();
  for (let i = 0; i < indices.length; i += 3) {
    for (let k = 0; k < 3; k++) {
      const [a, b, c] = [k, (k + 1) % 3, (k + 2) % 3].map((j) => places[indices[i + j]!]!) as [number, number, number];
      const edge = edges.get(key(a, b));
      if (edge) edge.opposite.push(c);
      else edges.set(key(a, b), { a, b, opposite: [c] });
    }
  }
  // (2) The old vertices' new places, from their neighbours or, on an open edge, from the two along it.
  const sums = new Float64Array(count * 3);
  const degree = new Uint32Array(count);
  const openSums = new Float64Array(count * 3);
  const openDegree = new Uint32Array(count);
  for (const { a, b, opposite } of edges.values()) {
    for (const [v, o] of [
      [a, b],
      [b, a],
    ] as const) {
      degree[v]!++;
      for (let c = 0; c < 3; c++) sums[v * 3 + c]! += p[o * 3 + c]!;
      if (opposite.length === 2) continue;
      openDegree[v]!++;
      for (let c = 0; c < 3; c++) openSums[v * 3 + c]! += p[o * 3 + c]!;
    }
  }
  const moved = (v: number, c: number): number => {
    const at = v * 3 + c;
    if (openDegree[v]! > 0) return openDegree[v] === 2 ? 0.75 * p[at]! + 0.125 * openSums[at]! : p[at]!;
    const n = degree[v]!;
    const beta = n === 3 ? 3 / 16 : 3 / (8 * n);
    return (1 - n * beta) * p[at]! + beta * sums[at]!;
  };
  const middle = ({ a, b, opposite }: { a: number; b: number; opposite: number[] }, c: number): number => {
    const ends = p[a * 3 + c]! + p[b * 3 + c]!;
    if (opposite.length !== 2) return ends / 2;
    return 0.375 * ends + 0.125 * (p[opposite[0]! * 3 + c]! + p[opposite[1]! * 3 + c]!);
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
    const [a, b, c] = [indices[i]!, indices[i + 1]!, indices[i + 2]!];
    const [ab, bc, ca] = [half(a, b), half(b, c), half(c, a)];
    for (const v of [a, ab, ca, ab, b, bc, ca, bc, c, ab, bc, ca]) out[o++] = v;
  }
  const total = count + from.length;
  const positions = new Float32Array(total * 3);
  for (let v = 0; v < count; v++) for (let c = 0; c < 3; c++) positions[v * 3 + c] = moved(places[v]!, c);
  from.forEach(([a, b], k) => {
    const edge = edges.get(key(places[a]!, places[b]!))!;
    for (let c = 0; c < 3; c++) positions[(count + k) * 3 + c] = middle(edge, c);
  });
  const between = (values: Float32Array, size: number) => {
    const grown = new Float32Array(total * size);
    grown.set(values);
    from.forEach(([a, b], k) => {
      for (let c = 0; c < size; c++)
        grown[(count + k) * size + c] = (values[a * size + c]! + values[b * size + c]!) / 2;
    });
    return grown;
  };
  return {
    ...mesh,
    positions,
    normals: between(mesh.normals, 3),
    uvs: between(mesh.uvs, 2),
    ...(mesh.colours && { colours: between(mesh.colours, 4) }),
    indices: out,
    parts: mesh.parts.map((part): Part => ({ ...part, start: part.start * 4, count: part.count * 4 })),
  };
}
