import { edgesOf } from '../mesh/edges';
import { faceNormal } from '../mesh/measure';
import { samePlaces } from '../mesh/clean/same-places';
import { distance, dot, normalize, sub, type Vec3 } from '../math/vec3';
import type { GuideMesh } from './guide-body';
import type { EdgeChain } from './join-chains';

/** Edges run on through a corner that turns by less than this, cosine. */
const RUNS_ON = Math.cos((50 * Math.PI) / 180);

/**
 * Chains of a mesh's open edges and of those whose faces meet at more than `sharp` radians, the longest first. Where more than two edges
 * meet, each runs on into the one that turns least, if that is less than 50°.
 */
export async function edgeChains(
  { positions: p, indices }: Pick<GuideMesh, 'positions' | 'indices'>,
  sharp: number,
): Promise<EdgeChain[]> {
  const at = (i: number): Vec3 => [p[i * 3], p[i * 3 + 1], p[i * 3 + 2]];
  const edges = wantedEdges(indices, p, await samePlaces(p), Math.cos(sharp));
  const around = new Map<number, number[]>();
  edges.forEach(([a, b], e) => {
    for (const v of [a, b]) around.set(v, [...(around.get(v) ?? []), e]);
  });
  const partner = pairs(edges, around, at);
  const isUsed = new Uint8Array(edges.length);
  const other = (e: number, v: number) => (edges[e][0] === v ? edges[e][1] : edges[e][0]);
  /** Vertices from v on over edge e and what it runs on into. */
  const walk = (e: number, v: number): number[] => {
    const out: number[] = [];
    for (let [edge, from] = [e, v] as [number | undefined, number]; edge !== undefined && !isUsed[edge];) {
      isUsed[edge] = 1;
      from = other(edge, from);
      out.push(from);
      edge = partner.get(`${edge},${from}`);
    }
    return out;
  };
  const chains: EdgeChain[] = [];
  for (let e = 0; e < edges.length; e++) {
    if (isUsed[e]) continue;
    const [a] = edges[e];
    const ahead = walk(e, a);
    const back = partner.get(`${e},${a}`);
    const behind = back === undefined ? [] : walk(back, a);
    const line = [...behind.reverse(), a, ...ahead];
    const closed = line.length > 3 && line[0] === line[line.length - 1];
    const points = (closed ? line.slice(0, -1) : line).map(at);
    let length = 0;
    for (let i = 1; i < line.length; i++) length += distance(at(line[i - 1]), at(line[i]));
    chains.push({ points, closed, length });
  }
  return chains.sort((one, two) => two.length - one.length);
}

function wantedEdges(
  indices: Uint32Array,
  positions: Float32Array,
  places: Uint32Array,
  cosine: number,
): (readonly [number, number])[] {
  const facing = (corner: number): Vec3 => {
    const first = corner - (corner % 3);
    const [a, b, c] = [indices[first] * 3, indices[first + 1] * 3, indices[first + 2] * 3];
    return normalize(faceNormal(positions, a, b, c), [0, 0, 0]);
  };
  return [...edgesOf(indices, places).values()]
    .filter(({ corners: [one, other, ...more] }) => {
      const isPair = other !== undefined && more.length === 0;
      return !isPair || dot(facing(one), facing(other)) < cosine;
    })
    .map(({ a, b }) => [Math.min(a, b), Math.max(a, b)] as const);
}

/** For an edge and the vertex that it comes to (`edge,vertex`): the edge that it runs on into. */
function pairs(
  edges: readonly (readonly [number, number])[],
  around: ReadonlyMap<number, readonly number[]>,
  at: (i: number) => Vec3,
): Map<string, number> {
  const partner = new Map<string, number>();
  for (const [v, here] of around) {
    const out = here.map((e) => normalize(sub(at(edges[e][0] === v ? edges[e][1] : edges[e][0]), at(v))));
    const options: { a: number; b: number; straight: number }[] = [];
    for (let a = 0; a < here.length; a++)
      for (let b = a + 1; b < here.length; b++) options.push({ a, b, straight: -dot(out[a], out[b]) });
    options.sort((one, two) => two.straight - one.straight);
    for (const { a, b, straight } of options) {
      const [e, f] = [here[a], here[b]];
      if (partner.has(`${e},${v}`) || partner.has(`${f},${v}`)) continue;
      if (here.length > 2 && straight < RUNS_ON) continue;
      partner.set(`${e},${v}`, f);
      partner.set(`${f},${v}`, e);
    }
  }
  return partner;
}
