import type { Mesh } from '../mesh';
import { volume } from '../measure';
import { looseParts } from './loose-parts';
import { nearPlaces } from './near-places';

/** What there is to clean in a mesh. */
export interface MeshFigures {
  readonly vertices: number;
  readonly triangles: number;
  readonly looseParts: number;
  /** Edges with a triangle on one side only, and with more than two. */
  readonly openEdges: number;
  readonly crowdedEdges: number;
  /** More of it looks in than out. */
  readonly isInsideOut: boolean;
}

/** Counts by places, so that doubled vertices do not open edges. Sorts the edges. */
export function meshFigures(mesh: Pick<Mesh, 'positions' | 'indices'>): MeshFigures {
  const { positions, indices } = mesh;
  const places = nearPlaces(positions, 0);
  const count = positions.length / 3;
  const edges = new Float64Array(indices.length);
  for (let i = 0; i < indices.length; i++) {
    const start = i - (i % 3);
    const [a, b] = [places[indices[i]!]!, places[indices[start + ((i - start + 1) % 3)]!]!];
    edges[i] = a === b ? -1 : a < b ? a * count + b : b * count + a;
  }
  let [openEdges, crowdedEdges] = [0, 0];
  edges.sort();
  for (let i = 0, end = 0; i < edges.length; i = end) {
    for (end = i + 1; end < edges.length && edges[end] === edges[i];) end++;
    if (edges[i]! < 0) continue;
    if (end - i === 1) openEdges++;
    if (end - i > 2) crowdedEdges++;
  }
  return {
    vertices: count,
    triangles: indices.length / 3,
    looseParts: looseParts(mesh).count,
    openEdges,
    crowdedEdges,
    isInsideOut: openEdges === 0 && volume(mesh) < 0,
  };
}
