import { seededRandom } from '../../math/random';
import { normalize, type Vec3 } from '../../math/vec3';
import type { MeshBuilder } from '../../mesh/mesh-builder';
import { smoothNormals, normalizeAll } from '../../mesh/smooth-normals';
import type { Wear } from './grid';

export interface Lump {
  /** Metres: along, up and across, all of it. */
  readonly size: Vec3;
  /** Metres of its height below y = 0. */
  readonly below: number;
  /** Of its half size: how far it bulges in and out. */
  readonly rough: number;
  /** Faces with edges, not one round skin. */
  readonly hasEdges: boolean;
  /** How often each face of the octahedron is halved. */
  readonly halvings: number;
  readonly seed: number;
}

/** A lump that stands on y = 0, x from 0 on, z about 0: an octahedron made round, with seeded waves over it. Closed. Texture in metres, seen from above. */
export function addLump(builder: MeshBuilder, { part, material }: Wear, lump: Lump): void {
  const { size, below, rough, hasEdges, halvings, seed } = lump;
  const random = seededRandom(seed);
  const waves = Array.from({ length: 7 }, (_, i) => ({
    way: normalize([random() - 0.5, random() - 0.5, random() - 0.5]),
    often: 1.5 + i * 0.8 + random(),
    phase: random() * 2 * Math.PI,
    high: 1 / (1 + i),
  }));
  const radius = (p: Vec3) => {
    const wave = ({ way, often, phase, high }: (typeof waves)[number]) =>
      high * Math.sin(often * (p[0] * way[0] + p[1] * way[1] + p[2] * way[2]) * 2 + phase);
    return 1 + (rough * waves.reduce((sum, own) => sum + wave(own), 0)) / 2;
  };
  const { places, indices } = roundOctahedron(halvings);
  const bumpy = places.map((p) => p.map((c) => c * radius(p)));
  // Brought to the size asked for, to the last digit of a float.
  const [low, high] = [Math.min, Math.max].map((pick) => [0, 1, 2].map((c) => pick(...bumpy.map((p) => p[c])))) as [number[], number[]]; // prettier-ignore
  const foot = [0, -below, -size[2] / 2];
  const positions = Float32Array.from(
    bumpy.flatMap((p) => p.map((c, axis) => foot[axis] + ((c - low[axis]) / (high[axis] - low[axis])) * size[axis])),
  );
  const normals = smoothNormals(positions, indices);
  normalizeAll(normals);
  const take = (values: Float32Array, v: number): Vec3 => [values[v * 3], values[v * 3 + 1], values[v * 3 + 2]];
  const put = (v: number, normal: Vec3) => builder.vertex(take(positions, v), normal, [positions[v * 3], positions[v * 3 + 2]]); // prettier-ignore
  const shared = hasEdges ? [] : places.map((_, v) => put(v, take(normals, v)));
  for (let i = 0; i < indices.length; i += 3) {
    const corners = indices.subarray(i, i + 3);
    const flat = hasEdges ? smoothNormals(positions, Uint32Array.from(corners)) : undefined;
    if (flat) normalizeAll(flat);
    const [a, b, c] = Array.from(corners, (v) => (flat ? put(v, take(flat, v)) : shared[v])) as [number, number, number]; // prettier-ignore
    builder.triangle(part, material, a, b, c);
  }
}

const CORNERS: readonly Vec3[] = [[1, 0, 0], [-1, 0, 0], [0, 1, 0], [0, -1, 0], [0, 0, 1], [0, 0, -1]]; // prettier-ignore
const FACES = [2, 4, 0, 2, 0, 5, 2, 5, 1, 2, 1, 4, 3, 0, 4, 3, 5, 0, 3, 1, 5, 3, 4, 1];

/** The octahedron with each triangle made into four so many times, its corners moved out to the unit sphere. */
function roundOctahedron(halvings: number): { readonly places: readonly Vec3[]; readonly indices: Uint32Array } {
  const places = [...CORNERS];
  let indices = FACES;
  for (let h = 0; h < halvings; h++) {
    const halves = new Map<string, number>();
    const between = (a: number, b: number): number => {
      const key = a < b ? `${a} ${b}` : `${b} ${a}`;
      const known = halves.get(key);
      if (known !== undefined) return known;
      const [p, q] = [places[a], places[b]];
      places.push(normalize([p[0] + q[0], p[1] + q[1], p[2] + q[2]]));
      halves.set(key, places.length - 1);
      return places.length - 1;
    };
    const next: number[] = [];
    for (let i = 0; i < indices.length; i += 3) {
      const [a, b, c] = indices.slice(i, i + 3) as [number, number, number];
      const [ab, bc, ca] = [between(a, b), between(b, c), between(c, a)];
      next.push(a, ab, ca, ab, b, bc, ca, bc, c, ab, bc, ca);
    }
    indices = next;
  }
  return { places, indices: Uint32Array.from(indices) };
}
