// the fc property in a thread with a watchdog
import { Worker, isMainThread, parentPort } from 'node:worker_threads';
if (isMainThread) {
  const w = new Worker(new URL(import.meta.url));
  let last, at = Date.now();
  w.on('message', (m) => { last = m; at = Date.now(); if (m === 'end') process.exit(0); });
  w.on('error', (e) => { console.log('ERR', e); process.exit(1); });
  setInterval(() => { if (Date.now() - at > 8000) { console.log('HANG', JSON.stringify(last)); process.exit(1); } }, 500);
} else {
  const { register } = await import('tsx/esm/api'); register();
  const fc = (await import('fast-check')).default;
  const { PATH_READERS, readPaths } = await import('./src/formats/paths/registry.ts');
  const kinds = PATH_READERS.map(({ extensions }) => extensions[0]);
  const pieces = fc.constantFrom('<svg>','<path d="','M0 0','"/>','{"type":','"LineString"','0\nSECTION\n','0\nLINE\n','10\n','v 1 2 3\n','l 1 2\n','x,y\n','1,2\n','1e999','NaN',']');
  await fc.assert(fc.asyncProperty(fc.constantFrom(...kinds), fc.array(fc.oneof(pieces, fc.string({ maxLength: 20 })), { maxLength: 12 }), async (kind, parts) => {
    parentPort.postMessage([kind, parts.join('')]);
    await readPaths({ name: `a.${kind}`, bytes: new TextEncoder().encode(parts.join('')) });
  }), { numRuns: 60000 });
  parentPort.postMessage('end');
}
