import { edgesOf } from '../mesh/edges';
import { faceNormal } from '../mesh/measure';
import { samePlaces } from '../mesh/clean/same-places';
import { dot, length, normalize, scale, add, sub, type Vec3 } from '../math/vec3';
import type { GuideMesh } from './guide-body';

/** Faces that meet at more than this make an edge; those at less are one flat face. Cosines. */
const SHARP = Math.cos((20 * Math.PI) / 180);
const FLAT = Math.cos((0.6 * Math.PI) / 180);
/** Larger meshes have no such places: they would be everywhere. */
const MOST_TRIANGLES = 20_000;

/** The middles of a guide's flat faces and straight edges, as far as they are bounded by sharp edges; flat xyz. */
export async function snapPlaces({
  positions: p,
  indices,
}: Pick<GuideMesh, 'positions' | 'indices'>): Promise<readonly Vec3[]> {
  const triangles = indices.length / 3;
  if (triangles > MOST_TRIANGLES) return [];
  const places = await samePlaces(p);
  const at = (i: number): Vec3 => [p[i * 3], p[i * 3 + 1], p[i * 3 + 2]];
  const corners = (t: number) => [0, 1, 2].map((k) => indices[t * 3 + k]);
  const facing = Array.from({ length: triangles }, (_, t) => {
    const [a, b, c] = corners(t);
    return faceNormal(p, a * 3, b * 3, c * 3);
  });
  const units = facing.map((n) => normalize(n));
  const edges = [...edgesOf(indices, places).values()].map(({ a, b, corners: begin }) => ({
    ends: [a, b] as const,
    sides: begin.map((corner) => Math.floor(corner / 3)),
  }));
  const turn = ([s, t]: readonly number[]) => (t === undefined ? -1 : dot(units[s], units[t]));
  const face = Int32Array.from({ length: triangles }, (_, t) => t);
  const find = (t: number): number => (face[t] === t ? t : (face[t] = find(face[t])));
  for (const { sides } of edges) if (turn(sides) > FLAT) face[find(sides[0])] = find(sides[1]);
  const isBounded = new Uint8Array(triangles).fill(1);
  const sharp: (readonly [number, number])[] = [];
  for (const { ends, sides } of edges) {
    const cosine = turn(sides);
    if (cosine < SHARP) sharp.push(ends);
    else if (cosine <= FLAT) for (const t of sides) isBounded[find(t)] = 0;
  }
  const sums = new Map<number, { middle: Vec3; weight: number }>();
  for (let t = 0; t < triangles; t++) {
    const root = find(t);
    if (!isBounded[root]) continue;
    const weight = length(facing[t]);
    const middle = corners(t).reduce<Vec3>((sum, i) => add(sum, scale(at(i), weight / 3)), [0, 0, 0]);
    const before = sums.get(root) ?? { middle: [0, 0, 0], weight: 0 };
    sums.set(root, { middle: add(before.middle, middle), weight: before.weight + weight });
  }
  const faces = [...sums.values()].map(({ middle, weight }) => scale(middle, 1 / (weight || 1)));
  return [...faces, ...straightMiddles(sharp, at)];
}

/** Middles of the edges that do not run on in nearly their own direction at both ends: those of boxes, not those of rims. */
function straightMiddles(edges: readonly (readonly [number, number])[], at: (i: number) => Vec3): Vec3[] {
  const around = new Map<number, number[]>();
  for (const [a, b] of edges) {
    around.set(a, [...(around.get(a) ?? []), b]);
    around.set(b, [...(around.get(b) ?? []), a]);
  }
  const runsOn = (from: number, to: number) => {
    const direction = normalize(sub(at(to), at(from)));
    return around.get(to)!.some((next) => next !== from && dot(direction, normalize(sub(at(next), at(to)))) > SHARP);
  };
  return edges.filter(([a, b]) => !runsOn(a, b) && !runsOn(b, a)).map(([a, b]) => scale(add(at(a), at(b)), 0.5));
}
