import { assetIdsOf } from '../schema';
import { unusedKey } from './assets';
import { database } from './database';
import { readKit } from './kits';
import { readStored } from './projects';

const LOCK = 'rattan-assets';
/** Milliseconds that an asset stays after it was first found unused: a day. */
const STAYS = 24 * 3600 * 1000;

/**
 * Drops the assets that no stored project has used for a day, if no other tab is open: its undo, a project that it deleted and
 * may bring back, or a file that it is opening could still want them. From then on this tab keeps others from dropping any.
 */
export async function dropUnusedAssets(now = Date.now()): Promise<void> {
  const { locks } = navigator;
  await locks.request(LOCK, { ifAvailable: true }, (lock) => (lock ? drop(now) : undefined));
  await new Promise<void>((held) => {
    void locks.request(LOCK, { mode: 'shared' }, () => {
      held();
      return new Promise(() => {}); // as long as the tab is there
    });
  });
}

async function drop(now: number): Promise<void> {
  const db = await database();
  const read = [
    ...(await db.getAll('projects')).map(readStored),
    ...(await db.getAll('kits')).map(readKit), // they use assets as projects do
  ];
  if (!read.every(({ ok }) => ok)) return; // what it uses is not known
  const used = new Set(read.flatMap((result) => (result.ok ? assetIdsOf(result.value.project) : [])));
  const transaction = db.transaction(['assets', 'app'], 'readwrite');
  const [assets, app] = [transaction.objectStore('assets'), transaction.objectStore('app')];
  for (const asset of await assets.getAllKeys()) {
    const key = unusedKey(asset);
    const since = await app.get(key);
    if (used.has(asset)) await app.delete(key);
    else if (since === undefined) await app.put(String(now), key);
    else if (now - Number(since) > STAYS) {
      await assets.delete(asset);
      await app.delete(key);
    }
  }
  await transaction.done;
}
