/** An edge between two places, and the corners that begin it: corner i of the index list runs along it to the next one of its triangle. */
export interface Edge {
  readonly a: number;
  readonly b: number;
  readonly corners: number[];
}

/** The corner after a corner of the index list, within its triangle. */
export const nextCorner = (corner: number): number => (corner % 3 === 2 ? corner - 2 : corner + 1);

/**
 * Calls back with every edge of every triangle, as it runs: from place to place, and the corner that begins it. `places` gives each
 * vertex's place; edges between equal places are none.
 */
export function eachEdge(
  indices: Uint32Array,
  places: Uint32Array,
  call: (a: number, b: number, corner: number) => void,
  [from, to]: readonly [number, number] = [0, indices.length],
): void {
  for (let i = from; i < to; i++) {
    const a = places[indices[i]];
    const b = places[indices[nextCorner(i)]];
    if (a !== b) call(a, b, i);
  }
}

/** One number for the edge between two places, whichever way it runs; `count` = how many places there are. */
export const edgeKey = (a: number, b: number, count: number): number => (a < b ? a * count + b : b * count + a);

/** All edges, in the order in which triangles come to them. */
export function edgesOf(indices: Uint32Array, places: Uint32Array): ReadonlyMap<number, Edge> {
  const edges = new Map<number, Edge>();
  eachEdge(indices, places, (a, b, corner) => {
    const key = edgeKey(a, b, places.length);
    const edge = edges.get(key);
    if (edge) edge.corners.push(corner);
    else edges.set(key, { a, b, corners: [corner] });
  });
  return edges;
}
