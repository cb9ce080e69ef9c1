import { Logger, Verbosity, VertexLayout, WebIO, type Document, type JSONDocument } from '@gltf-transform/core';
import {
  KHRMaterialsUnlit,
  KHRMeshQuantization,
  KHRTextureTransform,
  EXTMeshGPUInstancing,
  EXTTextureWebP,
} from '@gltf-transform/extensions';
import type { OnProgress } from '../core/math/progress';
import { fail, ok, type Result } from '../core/math/result';
import type { NamedBytes } from './format';
import { checkGltf } from './gltf-check';
import { decodeText } from './text';

/** A reader and writer with the extensions that Rattan understands; quiet. Arrays stay whole: interleaving took a third longer. */
export const buildGltfIo = (): WebIO =>
  new WebIO()
    .setVertexLayout(VertexLayout.SEPARATE)
    .setLogger(new Logger(Verbosity.SILENT))
    .registerExtensions([
      KHRMeshQuantization,
      KHRTextureTransform,
      KHRMaterialsUnlit,
      EXTTextureWebP,
      EXTMeshGPUInstancing,
    ]);

/** Parses a glTF's JSON. Problems: `gltf.broken`. */
export function parseGltf(file: string, bytes: Uint8Array): Result<JSONDocument['json']> {
  try {
    return ok(JSON.parse(decodeText(bytes)) as JSONDocument['json']);
  } catch (error) {
    return fail('gltf.broken', { file, reason: error instanceof Error ? error.message : String(error) });
  }
}

/** Reads a GLB, after its header and all that its JSON says have been checked. Problems: those of {@link checkGltf}, and of reading. */
export async function readGlb({ name, bytes }: NamedBytes): Promise<Result<Document>> {
  // The library reads the header through a 32-bit view: give it bytes that start at a multiple of four.
  const aligned = bytes.byteOffset % 4 === 0 ? bytes : bytes.slice();
  const truncated = checkGlbHeader(name, aligned);
  if (truncated) return truncated;
  const json = parseGltf(name, aligned.subarray(20, 20 + viewOf(aligned).getUint32(12, true)));
  if (!json.ok) return json;
  return checkGltf(name, json.value, bytes.length) ?? attemptRead(name, () => buildGltfIo().readBinary(aligned));
}

export const viewOf = (bytes: Uint8Array): DataView => new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);

/** Lengths that lie are found here, before any are believed (glTF 2.0, section 4.4: binary glTF layout). */
function checkGlbHeader(file: string, bytes: Uint8Array): Extract<Result<never>, { ok: false }> | undefined {
  if (bytes.length < 20) return fail('file.truncated', { file, bytes: bytes.length, needed: 20 });
  const view = viewOf(bytes);
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

const COMPRESSIONS = ['KHR_draco_mesh_compression', 'EXT_meshopt_compression', 'KHR_texture_basisu'];

/** What a library threw, as a problem. Problems: `gltf.compressed` with `extension`, `gltf.broken` with `reason`. */
export async function attemptRead(file: string, read: () => Promise<Document>): Promise<Result<Document>> {
  try {
    return ok(await read());
  } catch (error) {
    const reason = error instanceof Error ? error.message : String(error);
    const extension = COMPRESSIONS.find((name) => reason.includes(name));
    return extension ? fail('gltf.compressed', { file, extension }) : fail('gltf.broken', { file, reason });
  }
}

/** Tells how far the library is with packing a document: it asks every accessor for its array once a vertex. */
export function tellPacking(document: Document, onProgress: OnProgress): void {
  const packed = document
    .getRoot()
    .listAccessors()
    .filter((accessor) => accessor.getType() !== 'SCALAR');
  const total = packed.reduce((sum, accessor) => sum + accessor.getCount(), 0);
  let done = 0;
  for (const accessor of packed) {
    const getArray = accessor.getArray.bind(accessor);
    accessor.getArray = () => {
      if (++done % VERTICES_PER_STEP === 0) onProgress(Math.min(1, done / total));
      return getArray();
    };
  }
}

const VERTICES_PER_STEP = 100_000;
