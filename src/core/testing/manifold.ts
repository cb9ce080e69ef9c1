import Module, { type Manifold } from 'manifold-3d';
import { placeOf } from '../mesh/is-closed';
import type { Mesh } from '../mesh/mesh';

let wasm: ReturnType<typeof Module> | undefined;

/** The mesh as a solid of manifold-3d, vertices at one place joined. Throws where that library finds it not watertight. */
export async function manifoldOf({ positions, indices }: Pick<Mesh, 'positions' | 'indices'>): Promise<Manifold> {
  const { Manifold: Solid, Mesh: Input } = await (wasm ??= Module().then((module) => {
    module.setup();
    return module;
  }));
  const places = placeOf(positions);
  const triVerts = indices.map((v) => places[v]);
  return Solid.ofMesh(new Input({ numProp: 3, vertProperties: positions, triVerts }));
}
