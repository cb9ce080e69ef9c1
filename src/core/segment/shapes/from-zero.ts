import type { Mesh } from '../../mesh/mesh';

/** A mesh moved along x so that it begins at 0. */
export function fromZero(mesh: Mesh): Mesh {
  const positions = mesh.positions.slice();
  let least = Infinity;
  for (let i = 0; i < positions.length; i += 3) least = Math.min(least, positions[i]);
  for (let i = 0; i < positions.length; i += 3) positions[i] -= least;
  return { ...mesh, positions };
}
