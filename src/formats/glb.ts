import { partOf } from '../core/math/progress';
import type { Result } from '../core/math/result';
import type { Mesh } from '../core/mesh/mesh';
import { defineFormat } from './format';
import { buildDocument } from './gltf-build';
import { mergeDocument } from './gltf-document';
import { buildGltfIo, readGlb, tellPacking, viewOf } from './gltf-io';

const MAGIC = 0x46546c67; // "glTF", little-endian

export const glb = defineFormat({
  kind: 'glb',
  label: 'GLB',
  extensions: ['glb'],
  mime: 'model/gltf-binary',
  carries: 'Metres, y up; materials and textures inside',
  sniff: (bytes) => bytes.length >= 12 && viewOf(bytes).getUint32(0, true) === MAGIC,
  async read([main]): Promise<Result<Mesh>> {
    const read = await readGlb(main!);
    return read.ok ? mergeDocument(read.value) : read;
  },
  async write(scene, name, onProgress) {
    const document = await buildDocument(scene, partOf(onProgress, 0, 0.5));
    const packing = partOf(onProgress, 0.5, 1);
    if (packing) tellPacking(document, packing);
    return [{ name: `${name}.glb`, bytes: await buildGltfIo().writeBinary(document) }];
  },
});
