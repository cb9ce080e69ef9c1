import { Logger, Verbosity, VertexLayout, WebIO, type Document } from '@gltf-transform/core';
import {
  KHRMaterialsUnlit,
  KHRMeshQuantization,
  KHRTextureTransform,
  EXTTextureWebP,
} from '@gltf-transform/extensions';
import type { OnProgress } from '../core/math/progress';
import { fail, ok, type Result } from '../core/math/result';

/** A reader and writer with the extensions that Rattan understands; quiet. Arrays stay whole: interleaving took a third longer. */
export const buildGltfIo = (): WebIO =>
  new WebIO()
    .setVertexLayout(VertexLayout.SEPARATE)
    .setLogger(new Logger(Verbosity.SILENT))
    .registerExtensions([KHRMeshQuantization, KHRTextureTransform, KHRMaterialsUnlit, EXTTextureWebP]);

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
