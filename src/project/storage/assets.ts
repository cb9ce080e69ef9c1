import { ok, type Result } from '../../core/math/result';
import type { Assets } from '../project-file';
import { database } from './database';
import { storageProblem } from './trouble';

/** Where it is kept since when an asset has not been used. */
export const unusedKey = (asset: string): string => `unused:${asset}`;

/** Keeps the assets of a file, up to the first that cannot be kept. Problems: those of {@link saveAsset}. */
export async function saveAssets(assets: Assets): Promise<Result<undefined>> {
  for (const [id, bytes] of assets) {
    const kept = await saveAsset(id, bytes);
    if (!kept.ok) return kept;
  }
  return ok(undefined);
}

/** Keeps bytes under their id. What is there already is the same, and stays. Problems: those of the storage. */
export async function saveAsset(id: string, bytes: Uint8Array): Promise<Result<undefined>> {
  try {
    await put(id, bytes);
    return ok(undefined);
  } catch (error) {
    return { ok: false, problems: [storageProblem(error)] };
  }
}

async function put(id: string, bytes: Uint8Array): Promise<void> {
  const transaction = (await database()).transaction(['assets', 'app'], 'readwrite');
  const assets = transaction.objectStore('assets');
  if ((await assets.getKey(id)) === undefined)
    await assets.add(new Blob([bytes as Uint8Array<ArrayBuffer>], { type: 'model/gltf-binary' }), id);
  await transaction.objectStore('app').delete(unusedKey(id));
  await transaction.done;
}

export async function loadAsset(id: string): Promise<Uint8Array | undefined> {
  const blob = await (await database()).get('assets', id);
  return blob && new Uint8Array(await blob.arrayBuffer());
}

/** The assets among `ids` that are there. */
export async function loadAssets(ids: readonly string[]): Promise<Map<string, Uint8Array>> {
  const found = new Map<string, Uint8Array>();
  for (const id of ids) {
    const bytes = await loadAsset(id);
    if (bytes) found.set(id, bytes);
  }
  return found;
}
