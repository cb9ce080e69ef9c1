import { MathUtils, type Buffer, type Document, type mat4, type Mesh, type Node } from '@gltf-transform/core';
import { EXTMeshGPUInstancing, type InstancedMesh } from '@gltf-transform/extensions';

const STRIDE = 16;

/** A place as glTF has it: translation, turn as a quaternion, and scale. */
function decomposed(places: Float64Array, at: number) {
  const translation: [number, number, number] = [0, 0, 0];
  const rotation: [number, number, number, number] = [0, 0, 0, 1];
  const scale: [number, number, number] = [1, 1, 1];
  MathUtils.decompose(Array.from(places.subarray(at, at + STRIDE)) as unknown as mat4, translation, rotation, scale);
  return { translation, rotation, scale };
}

/** One node for each place, all with the same mesh. */
export function placedNodes(document: Document, name: string, mesh: Mesh, places: Float64Array): Node[] {
  return Array.from({ length: places.length / STRIDE }, (_, i) => {
    const { translation, rotation, scale } = decomposed(places, i * STRIDE);
    const node = document
      .createNode(`${name} ${i + 1}`)
      .setMesh(mesh)
      .setTranslation(translation)
      .setRotation(rotation);
    return scale.every((s) => Math.abs(s - 1) < 1e-7) ? node : node.setScale(scale);
  });
}

/** All places of one node's mesh (EXT_mesh_gpu_instancing). */
export function manyPlaces(document: Document, buffer: Buffer, places: Float64Array): InstancedMesh {
  const count = places.length / STRIDE;
  const [t, r, s] = [new Float32Array(count * 3), new Float32Array(count * 4), new Float32Array(count * 3)];
  for (let i = 0; i < count; i++) {
    const { translation, rotation, scale } = decomposed(places, i * STRIDE);
    t.set(translation, i * 3);
    r.set(rotation, i * 4);
    s.set(scale, i * 3);
  }
  const accessor = (type: 'VEC3' | 'VEC4', array: Float32Array) =>
    document.createAccessor().setType(type).setArray(array).setBuffer(buffer);
  return document
    .createExtension(EXTMeshGPUInstancing)
    .setRequired(true)
    .createInstancedMesh()
    .setAttribute('TRANSLATION', accessor('VEC3', t))
    .setAttribute('ROTATION', accessor('VEC4', r))
    .setAttribute('SCALE', accessor('VEC3', s));
}

/** Where a node's mesh stands in the world: once, or at each of its many places (EXT_mesh_gpu_instancing). */
export function worldPlaces(node: Node): readonly mat4[] {
  const world = node.getWorldMatrix();
  const many = node.getExtension<InstancedMesh>(EXTMeshGPUInstancing.EXTENSION_NAME);
  const listed = many?.listAttributes() ?? [];
  if (!many || listed.length === 0) return [world];
  const read = (name: string, i: number, otherwise: readonly number[]) =>
    many.getAttribute(name)?.getElement(i, [...otherwise]) ?? [...otherwise];
  return Array.from({ length: listed[0].getCount() }, (_, i) => {
    const own = new Array<number>(STRIDE) as unknown as mat4;
    const [t, r, s] = [
      read('TRANSLATION', i, [0, 0, 0]),
      read('ROTATION', i, [0, 0, 0, 1]),
      read('SCALE', i, [1, 1, 1]),
    ];
    MathUtils.compose(t as [number, number, number], r as [number, number, number, number], s as [number, number, number], own); // prettier-ignore
    return product(world, own);
  });
}

/** a times b, by columns. */
const product = (a: mat4, b: mat4): mat4 =>
  Array.from({ length: STRIDE }, (_, k) =>
    [0, 1, 2, 3].reduce((sum, i) => sum + a[(k % 4) + i * 4] * b[Math.floor(k / 4) * 4 + i], 0),
  ) as unknown as mat4;
