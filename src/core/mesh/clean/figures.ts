import { eachEdge } from '../edges';
import type { Mesh } from '../mesh';
import { volume } from '../measure';
import { looseParts } from './loose-parts';
import { samePlaces } from './same-places';

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

const known = new WeakMap<object, MeshFigures>();

/** Counts by places, so that doubled vertices do not open edges; once a mesh. */
export async function meshFigures(mesh: Pick<Mesh, 'positions' | 'indices'>): Promise<MeshFigures> {
  let figures = known.get(mesh);
  if (!figures) known.set(mesh, (figures = await countFigures(mesh)));
  return figures;
}

async function countFigures(mesh: Pick<Mesh, 'positions' | 'indices'>): Promise<MeshFigures> {
  const { positions, indices } = mesh;
  const places = await samePlaces(positions);
  const { openEdges, crowdedEdges } = countEdges(indices, places);
  return {
    vertices: positions.length / 3,
    triangles: indices.length / 3,
    looseParts: (await looseParts(mesh)).count,
    openEdges,
    crowdedEdges,
    isInsideOut: openEdges === 0 && volume(mesh) < 0,
  };
}

/** Lists are short, but for the hubs of fans. */
function sortRange(values: Uint32Array, from: number, to: number): void {
  if (to - from > 16) values.subarray(from, to).sort();
  else {
    for (let i = from + 1; i < to; i++) {
      const value = values[i];
      let k = i;
      for (; k > from && values[k - 1] > value; k--) values[k] = values[k - 1]!;
      values[k] = value;
    }
  }
}

/** Gathers edges by the lower of their two places, and compares within such a list. */
function countEdges(indices: Uint32Array, places: Uint32Array): Pick<MeshFigures, 'openEdges' | 'crowdedEdges'> {
  const starts = new Uint32Array(places.length + 1);
  eachEdge(indices, places, (a, b) => starts[Math.min(a, b) + 1]++);
  for (let v = 0; v < places.length; v++) starts[v + 1] += starts[v];
  const ends = starts.slice();
  const others = new Uint32Array(starts[places.length]);
  eachEdge(indices, places, (a, b) => (others[ends[Math.min(a, b)]++] = Math.max(a, b)));
  let openEdges = 0;
  let crowdedEdges = 0;
  for (let v = 0; v < places.length; v++) {
    const last = ends[v];
    sortRange(others, starts[v], last);
    for (let i = starts[v], end = i; i < last; i = end) {
      for (end = i + 1; end < last && others[end] === others[i];) end++;
      if (end - i === 1) openEdges++;
      if (end - i > 2) crowdedEdges++;
    }
  }
  return { openEdges, crowdedEdges };
}
