import { MeshoptSimplifier } from 'meshoptimizer/simplifier';

const known = new WeakMap<Float32Array, Uint32Array>();

/**
 * For every vertex the first vertex in exactly its place (-0 is 0); found once for the same positions, which must not be written to any
 * more.
 */
export async function samePlaces(positions: Float32Array): Promise<Uint32Array> {
  await MeshoptSimplifier.ready;
  let places = known.get(positions);
  if (!places) known.set(positions, (places = MeshoptSimplifier.generatePositionRemap(positions, 3)));
  return places;
}
