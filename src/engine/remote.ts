import { transferHandlers, wrap } from 'comlink';

// Functions among a call's arguments are called back from the other thread, and progress need not be waited for.
const proxies = transferHandlers.get('proxy')!;
transferHandlers.set('function', {
  canHandle: (value): value is object => typeof value === 'function',
  serialize: (value) => proxies.serialize(value),
  deserialize: (value) => proxies.deserialize(value),
});

/** Another thread's methods, which all answer later. */
export const remoteOf = <T extends object>(worker: Worker): T => wrap<T>(worker) as unknown as T;
