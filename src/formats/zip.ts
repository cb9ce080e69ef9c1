import { zipSync } from 'fflate';
import type { NamedBytes } from './format';

/** Files in a zip. A fixed date keeps equal files' zips equal. */
export const zipFiles = (files: readonly NamedBytes[]): Uint8Array =>
  zipSync(Object.fromEntries(files.map(({ name, bytes }) => [name, bytes])), { mtime: '1980-01-02' });
