import { database } from './database';

export async function saveAsset(id: string, bytes: Uint8Array): Promise<void> {
  const db = await database();
  await db.put('assets', new Blob([bytes as Uint8Array<ArrayBuffer>], { type: 'model/gltf-binary' }), id);
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
