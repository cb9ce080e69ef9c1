import { Zip, ZipDeflate, ZipPassThrough } from 'fflate';
import type { NamedBytes } from './format';

/** A zip that is written as its files come: nothing of it is kept here. A fixed date keeps equal files' zips equal. */
export class ZipStream {
  readonly #zip: Zip;

  /** `stores` = files go in as they are, which is quicker than pressing them. */
  constructor(
    write: (chunk: Uint8Array) => void,
    private readonly stores = false,
  ) {
    this.#zip = new Zip((error, chunk) => {
      if (error) throw error;
      write(chunk);
    });
  }

  add({ name, bytes }: NamedBytes): void {
    const file = this.stores ? new ZipPassThrough(name) : new ZipDeflate(name);
    file.mtime = '1980-01-02';
    this.#zip.add(file);
    file.push(bytes, true);
  }

  end(): void {
    this.#zip.end();
  }
}
