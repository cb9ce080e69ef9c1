import { Document, type Texture } from '@gltf-transform/core';
import { EXTMeshGPUInstancing, EXTTextureWebP, KHRTextureTransform } from '@gltf-transform/extensions';
import { MeshoptTangents } from 'meshoptimizer/tangents';
import type { OnProgress } from '../core/math/progress';
import { compact } from '../core/mesh/compact';
import type { Image, Material, Mesh, Part } from '../core/mesh/mesh';
import { refuseNaN, type NamedMesh, type Repeated } from './format';
import { MovesWriter } from './gltf-moves';
import { manyPlaces, placedNodes } from './gltf-places';

/** A glTF document with one node a run; parts become primitives with vertices of their own. */
export async function buildDocument(
  scene: readonly NamedMesh[],
  onProgress?: OnProgress,
  repeated: Repeated = 'nodes',
): Promise<Document> {
  refuseNaN(scene);
  const document = new Document();
  document.getRoot().getAsset().generator = 'Rattan';
  const root = document.createScene('Scene');
  if (scene.length === 0) {
    root.addChild(document.createNode('Empty')); // a scene of no nodes is not allowed (glTF 2.0, 5.23)
    return document;
  }
  const buffer = document.createBuffer();
  const total = scene.reduce((sum, { mesh }) => sum + mesh.indices.length, 0);
  let done = 0;
  const motion = new MovesWriter(document, buffer);
  for (const { name, mesh, origin, places, moves } of scene) {
    // Only what a part wears, made when it is met first.
    const texture = kept((i) => (mesh.images[i] ? buildTexture(document, mesh.images[i]) : null));
    const material = kept((i) => (mesh.materials[i] ? buildMaterial(document, mesh.materials[i], texture) : null));
    // Names that importers make of these must not be those of nodes that move.
    const target = document.createMesh(moves ? `${name}, mesh` : name);
    for (const part of mesh.parts) {
      if (part.count === 0) continue;
      const own = await partVertices(mesh, part);
      const accessor = (type: 'VEC2' | 'VEC3' | 'VEC4' | 'SCALAR', array: Float32Array | Uint32Array | Uint16Array) =>
        document.createAccessor().setType(type).setArray(array).setBuffer(buffer);
      const primitive = document
        .createPrimitive()
        .setAttribute('POSITION', accessor('VEC3', own.positions))
        .setAttribute('NORMAL', accessor('VEC3', own.normals))
        .setAttribute('TEXCOORD_0', accessor('VEC2', own.uvs))
        .setIndices(accessor('SCALAR', own.indices))
        .setMaterial(material(part.material))
        .setName(part.name);
      if (own.colours) primitive.setAttribute('COLOR_0', accessor('VEC4', own.colours));
      if (mesh.materials[part.material]?.normalImage !== undefined)
        primitive.setAttribute('TANGENT', accessor('VEC4', await partTangents(own)));
      motion.vertices(primitive, moves, own.from);
      target.addPrimitive(primitive);
      onProgress?.((done += part.count) / total);
    }
    const node = document.createNode(name);
    const stands =
      places && (repeated !== 'gpu' || moves)
        ? placedNodes(document, moves ? `${name}, piece` : name, target, places)
        : [];
    for (const child of stands) node.addChild(child);
    if (moves?.by === 'places') motion.carry(stands, moves);
    else if (moves?.by === 'joints') root.addChild(motion.hang(node.setName(`${name}, joints`), target, name, moves));
    else if (places && repeated === 'gpu')
      node.setMesh(target).setExtension(EXTMeshGPUInstancing.EXTENSION_NAME, manyPlaces(document, buffer, places)); // prettier-ignore
    else if (!places) node.setMesh(target);
    if (moves?.by === 'shapes') motion.blend(node, target, moves);
    if (origin) node.setTranslation([...origin]);
    root.addChild(node);
  }
  return document;
}

/** What `make` makes of each number, made once. */
function kept<T>(make: (i: number) => T): (i: number) => T {
  const made = new Map<number, T>();
  return (i) => {
    if (!made.has(i)) made.set(i, make(i));
    return made.get(i)!;
  };
}

function buildTexture(document: Document, { name, mime, bytes }: Image): Texture {
  if (mime === 'image/webp') document.createExtension(EXTTextureWebP).setRequired(true);
  return document.createTexture(name).setMimeType(mime).setImage(bytes.slice());
}

function buildMaterial(document: Document, source: Material, imageAt: (place: number) => Texture | null) {
  const material = document
    .createMaterial(source.name)
    .setBaseColorFactor([...source.colour])
    .setRoughnessFactor(source.roughness)
    .setMetallicFactor(source.metalness)
    .setEmissiveFactor([...source.emissive])
    .setDoubleSided(source.doubleSided)
    .setAlphaMode(source.alpha === 'mask' ? 'MASK' : source.alpha === 'blend' ? 'BLEND' : 'OPAQUE');
  const texture = (place: number | undefined) => (place === undefined ? null : imageAt(place));
  material
    .setBaseColorTexture(texture(source.colourImage))
    .setNormalTexture(texture(source.normalImage))
    .setNormalScale(source.normalScale ?? 1)
    .setMetallicRoughnessTexture(texture(source.surfaceImage));
  const { textureTransform } = source;
  if (!textureTransform) return material;
  const extension = document.createExtension(KHRTextureTransform);
  const infos = [
    material.getBaseColorTextureInfo(),
    material.getNormalTextureInfo(),
    material.getMetallicRoughnessTextureInfo(),
  ];
  for (const info of infos) {
    const { scale, turn, offset } = textureTransform;
    const transform = extension
      .createTransform()
      .setScale([...scale])
      .setRotation(turn)
      .setOffset([...offset]);
    info?.setExtension(KHRTextureTransform.EXTENSION_NAME, transform);
  }
  return material;
}

/**
 * Tangents as normal images need them (glTF 2.0, section 3.7.2.1: MikkTSpace), by meshoptimizer. It gives one to every corner; corners
 * of one vertex share its texture coordinates and normal, and so take the first.
 */
async function partTangents({
  positions,
  normals,
  uvs,
  indices,
}: Awaited<ReturnType<typeof partVertices>>): Promise<Float32Array> {
  await MeshoptTangents.ready;
  const corners = MeshoptTangents.generateTangents(Uint32Array.from(indices), positions, 3, normals, 3, uvs, 2);
  const tangents = new Float32Array((positions.length / 3) * 4);
  for (let i = indices.length - 1; i >= 0; i--) tangents.set(corners.subarray(i * 4, i * 4 + 4), indices[i] * 4);
  return tangents;
}

/** The vertices that a part uses, and its indices among them. */
async function partVertices(mesh: Mesh, { start, count }: Part) {
  const { indices, ...own } = await compact(mesh, mesh.indices.subarray(start, start + count));
  // Colours must lie between 0 and 1 (glTF 2.0, section 3.7.2.1).
  own.colours?.forEach((v, i, all) => (all[i] = Math.min(Math.max(v, 0), 1)));
  // 65535 is the primitive restart value and is not allowed as an index (glTF 2.0, section 3.7.2.1).
  return { ...own, indices: own.positions.length / 3 < 65_535 ? Uint16Array.from(indices) : indices };
}
