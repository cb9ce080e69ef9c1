import type { Mesh } from '../mesh';
import { onlyUsed } from './only-used';
import { withTriangles } from './with-triangles';
import { nearPlaces } from './near-places';
import { samePlaces } from './same-places';

/**
 * Joins vertices that lie within `tolerance` (metres) of each other: they move to one place, and become one vertex where texture,
 * colour and normal agree as well. Triangles that have no area left are dropped.
 */
export async function weld(mesh: Mesh, tolerance: number): Promise<Mesh> {
  const { uvs, normals, colours } = mesh;
  const places = tolerance > 0 ? nearPlaces(mesh.positions, tolerance) : await samePlaces(mesh.positions);
  const count = places.length;
  const positions = new Float32Array(mesh.positions.length);
  for (let v = 0; v < count; v++) for (let c = 0; c < 3; c++) positions[v * 3 + c] = mesh.positions[places[v] * 3 + c]!;
  // Vertices of one place in a list; each finds the first that agrees with it.
  const first = new Int32Array(count).fill(-1);
  const next = new Int32Array(count).fill(-1);
  const same = new Uint32Array(count);
  const agree = (a: number, b: number) => {
    if (Math.abs(uvs[a * 2] - uvs[b * 2]) > 1e-5 || Math.abs(uvs[a * 2 + 1] - uvs[b * 2 + 1]) > 1e-5) return false;
    for (let c = 0; colours && c < 4; c++) if (Math.abs(colours[a * 4 + c] - colours[b * 4 + c]) > 0.004) return false;
    const [i, j] = [a * 3, b * 3];
    return normals[i] * normals[j] + normals[i + 1] * normals[j + 1] + normals[i + 2] * normals[j + 2] > 0.9998; // a degree
  };
  for (let v = 0; v < count; v++) {
    const place = places[v];
    let o = first[place];
    while (o >= 0 && !agree(o, v)) o = next[o]!;
    same[v] = o < 0 ? v : o;
    if (o >= 0) continue;
    next[v] = first[place]!;
    first[place] = v;
  }
  const indices = new Uint32Array(mesh.indices.length);
  for (let i = 0; i < indices.length; i++) indices[i] = same[mesh.indices[i]]!;
  const whole = withTriangles({ ...mesh, positions, indices }, (i) => {
    const a = places[mesh.indices[i]];
    const b = places[mesh.indices[i + 1]];
    const c = places[mesh.indices[i + 2]];
    return a !== b && b !== c && c !== a;
  });
  return onlyUsed(whole);
}
