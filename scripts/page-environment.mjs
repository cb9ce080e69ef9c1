// A page for unit tests of hooks: jsdom, and what browsers have besides that it lacks.
import { TestEnvironment } from 'jest-environment-jsdom';

export default class PageEnvironment extends TestEnvironment {
  async setup() {
    await super.setup();
    Object.assign(this.global, { TextEncoder, TextDecoder, structuredClone, Uint8Array, ArrayBuffer });
    if (!this.global.crypto?.subtle) Object.defineProperty(this.global, 'crypto', { value: globalThis.crypto });
  }
}
