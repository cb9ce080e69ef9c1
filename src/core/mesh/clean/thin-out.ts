import { MeshoptSimplifier } from 'meshoptimizer/simplifier';
import type { Mesh, Part } from '../mesh';
import { onlyUsed } from './only-used';

/**
 * Fewer triangles, about `share` of them, part by part by edge collapse (meshoptimizer; M. Garland & P. Heckbert, SIGGRAPH 1997).
 * Open edges and the edges between parts stay in place.
 */
export async function thinOut(mesh: Mesh, share: number): Promise<Mesh> {
  await MeshoptSimplifier.ready;
  const lists: Uint32Array[] = [];
  const parts: Part[] = [];
  let start = 0;
  for (const part of mesh.parts) {
    const own = mesh.indices.slice(part.start, part.start + part.count);
    const target = Math.max(Math.round((part.count / 3) * share), 1) * 3;
    const attributes = new Float32Array((mesh.positions.length / 3) * 5);
    for (let v = 0; v * 3 < mesh.positions.length; v++) {
      attributes.set(mesh.normals.subarray(v * 3, v * 3 + 3), v * 5);
      attributes.set(mesh.uvs.subarray(v * 2, v * 2 + 2), v * 5 + 3);
    }
    const weights = [0.3, 0.3, 0.3, 0.1, 0.1];
    const [kept] = MeshoptSimplifier.simplifyWithAttributes(
      own,
      mesh.positions,
      3,
      attributes,
      5,
      weights,
      null,
      target,
      0.1,
      ['LockBorder'],
    );
    if (kept.length === 0) continue;
    lists.push(kept);
    parts.push({ ...part, start, count: kept.length });
    start += kept.length;
  }
  const indices = new Uint32Array(start);
  lists.forEach((list, i) => indices.set(list, parts[i].start));
  return onlyUsed({ ...mesh, indices, parts });
}
