import { partOf, type OnProgress } from '../core/math/progress';
import { ok, problem, type Problem, type Result } from '../core/math/result';
import type { Material, Mesh } from '../core/mesh/mesh';
import { boxOf } from '../core/mesh/box';
import { buildDocument } from '../formats/gltf-build';
import { buildGltfIo } from '../formats/gltf-io';
import type { NamedBytes } from '../formats/format';
import { extensionOf, readMesh, READABLE_EXTENSIONS } from '../formats/registry';
import { assetIdOf } from '../project/asset-id';
import { isSoundImage } from './check-image';
import type { BroughtMesh } from './compute-api';

/**
 * Reads a mesh file of any known format and turns it into the one in which the project keeps meshes: a GLB, named by the
 * SHA-256 of its bytes. Problems: those of reading.
 */
export async function bringMesh(
  files: readonly NamedBytes[],
  onProgress: OnProgress = () => {},
): Promise<Result<{ brought: BroughtMesh; bytes: Uint8Array }>> {
  const read = await readMesh(files, partOf(onProgress, 0, 0.6));
  if (!read.ok) return read;
  onProgress(0.6);
  const { mesh, warnings } = await withoutDamaged(read.value);
  const bytes = await buildGltfIo().writeBinary(await buildDocument([{ name: 'Segment', mesh }]));
  onProgress(0.9);
  const asset = await assetIdOf(bytes);
  const fileName = (files.find(({ name }) => READABLE_EXTENSIONS.includes(extensionOf(name))) ?? files[0]).name;
  const brought = { asset, fileName, triangles: mesh.indices.length / 3, box: boxOf(mesh.positions) };
  return ok({ brought, bytes }, [...read.warnings, ...warnings]);
}

/** Images that cannot be decoded are taken off their materials. Warnings: `image.damaged`. */
async function withoutDamaged(mesh: Mesh): Promise<{ mesh: Mesh; warnings: Problem[] }> {
  const isSound = await Promise.all(mesh.images.map(isSoundImage));
  if (isSound.every(Boolean)) return { mesh, warnings: [] };
  const places = mesh.images.map((_, i) => (isSound[i] ? isSound.slice(0, i).filter(Boolean).length : undefined));
  const materials = mesh.materials.map((material) => {
    const { colourImage, normalImage, surfaceImage, ...plain } = material;
    const kept = Object.entries({ colourImage, normalImage, surfaceImage }).flatMap(([key, at]) =>
      at === undefined || places[at] === undefined ? [] : [[key, places[at]]],
    );
    return { ...plain, ...Object.fromEntries(kept) } as Material;
  });
  const warnings = mesh.images.flatMap(({ name }, i) => (isSound[i] ? [] : [problem('image.damaged', { name })]));
  return { mesh: { ...mesh, materials, images: mesh.images.filter((_, i) => isSound[i]) }, warnings };
}
