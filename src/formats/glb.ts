import { partOf } from '../core/math/progress';
import { fail, type Result } from '../core/math/result';
import type { Mesh } from '../core/mesh/mesh';
import { defineFormat } from './format';
import { buildDocument } from './gltf-build';
import { mergeDocument } from './gltf-document';
import { attemptRead, buildGltfIo, tellPacking } from './gltf-io';

const MAGIC = 0x46546c67; // "glTF", little-endian

export const glb = defineFormat({
  kind: 'glb',
  label: 'GLB',
  extensions: ['glb'],
  mime: 'model/gltf-binary',
  carries: 'Metres, y up; materials and textures inside',
  sniff: (bytes) => bytes.length >= 12 && viewOf(bytes).getUint32(0, true) === MAGIC,
  async read([main]): Promise<Result<Mesh>> {
    const { name, bytes } = main!;
    // The library reads the header through a 32-bit view: give it bytes that start at a multiple of four.
    const aligned = bytes.byteOffset % 4 === 0 ? bytes : bytes.slice();
    const problem = checkHeader(name, aligned);
    if (problem) return problem;
    const read = await attemptRead(name, () => buildGltfIo().readBinary(aligned));
    return read.ok ? mergeDocument(read.value) : read;
  },
  async write(scene, name, onProgress) {
    const document = await buildDocument(scene, partOf(onProgress, 0, 0.5));
    const packing = partOf(onProgress, 0.5, 1);
    if (packing) tellPacking(document, packing);
    return [{ name: `${name}.glb`, bytes: await buildGltfIo().writeBinary(document) }];
  },
});

const viewOf = (bytes: Uint8Array): DataView => new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);

/** Lengths that lie are found here, before any are believed (glTF 2.0, section 4.4: binary glTF layout). */
function checkHeader(file: string, bytes: Uint8Array): Result<Mesh> | undefined {
  const view = viewOf(bytes);
  if (bytes.length < 20) return fail('file.truncated', { file, bytes: bytes.length, needed: 20 });
  const version = view.getUint32(4, true);
  if (version !== 2) return fail('gltf.version', { file, version });
  const said = view.getUint32(8, true);
  if (said > bytes.length) return fail('file.truncated', { file, bytes: bytes.length, needed: said });
  for (let at = 12; at < said;) {
    if (at + 8 > said) return fail('file.truncated', { file, bytes: bytes.length, needed: at + 8 });
    at += 8 + view.getUint32(at, true);
    if (at > said) return fail('file.truncated', { file, bytes: bytes.length, needed: at });
  }
  return undefined;
}
