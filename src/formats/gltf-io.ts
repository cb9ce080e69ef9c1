import { Logger, Verbosity, WebIO, type Document } from '@gltf-transform/core';
import {
  KHRMaterialsUnlit,
  KHRMeshQuantization,
  KHRTextureTransform,
  EXTTextureWebP,
} from '@gltf-transform/extensions';
import { fail, ok, type Result } from '../core/math/result';

/** A reader and writer with the extensions that Rattan understands; quiet. */
export const buildGltfIo = (): WebIO =>
  new WebIO()
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
