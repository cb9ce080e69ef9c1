import { partOf, type OnProgress } from '../core/math/progress';
import type { Result } from '../core/math/result';
import type { Mesh } from '../core/mesh/mesh';
import type { NamedBytes, NamedMesh, Repeated } from './format';
import { buildDocument } from './gltf-build';
import { mergeDocument } from './gltf-document';
import { buildGltfIo, readGlb, tellPacking } from './gltf-io';

export async function readGlbMesh(file: NamedBytes): Promise<Result<Mesh>> {
  const read = await readGlb(file);
  return read.ok ? mergeDocument(read.value) : read;
}

export async function writeGlb(
  scene: readonly NamedMesh[],
  name: string,
  onProgress?: OnProgress,
  repeated: Repeated = 'nodes',
): Promise<readonly NamedBytes[]> {
  const document = await buildDocument(scene, partOf(onProgress, 0, 0.5), repeated);
  const packing = partOf(onProgress, 0.5, 1);
  if (packing) tellPacking(document, packing);
  return [{ name: `${name}.glb`, bytes: await buildGltfIo().writeBinary(document) }];
}
