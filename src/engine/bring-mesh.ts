import type { OnProgress } from '../core/math/progress';
import { ok, type Result } from '../core/math/result';
import { boxOf } from '../core/mesh/box';
import { buildDocument } from '../formats/gltf-build';
import { buildGltfIo } from '../formats/gltf-io';
import type { NamedBytes } from '../formats/format';
import { extensionOf, readMesh, READABLE_EXTENSIONS } from '../formats/registry';
import { assetIdOf } from '../project/asset-id';
import type { BroughtMesh } from './compute-api';

/**
 * Reads a mesh file of any known format and turns it into the one in which the project keeps meshes: a GLB, named by the
 * SHA-256 of its bytes. Problems: those of reading.
 */
export async function bringMesh(
  files: readonly NamedBytes[],
  onProgress: OnProgress = () => {},
): Promise<Result<{ brought: BroughtMesh; bytes: Uint8Array }>> {
  const read = await readMesh(files);
  if (!read.ok) return read;
  onProgress(0.6);
  const mesh = read.value;
  const bytes = await buildGltfIo().writeBinary(await buildDocument([{ name: 'Segment', mesh }]));
  onProgress(0.9);
  const asset = await assetIdOf(bytes);
  const fileName = (files.find(({ name }) => READABLE_EXTENSIONS.includes(extensionOf(name))) ?? files[0])!.name;
  const brought = { asset, fileName, triangles: mesh.indices.length / 3, box: boxOf(mesh.positions) };
  return ok({ brought, bytes }, read.warnings);
}
