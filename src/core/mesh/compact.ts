import { MeshoptSimplifier } from 'meshoptimizer/simplifier';
import { gatherVertices, type Attributes } from './attributes';

/** How compactMesh marks a vertex that no triangle uses. */
const UNUSED = 0xffffffff;

/** The vertices that triangles use, in the order of first use, which they were, and the triangles' indices among them. */
export async function compact(
  of: Attributes,
  triangles: Uint32Array,
): Promise<Attributes & { indices: Uint32Array; from: Uint32Array }> {
  await MeshoptSimplifier.ready;
  const indices = triangles.slice(); // they are written over
  const [places, count] = MeshoptSimplifier.compactMesh(indices);
  const source = new Uint32Array(count);
  places.forEach((place, v) => {
    if (place !== UNUSED) source[place] = v;
  });
  return { ...gatherVertices(of, source), indices, from: source };
}
