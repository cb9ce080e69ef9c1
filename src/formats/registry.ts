import type { OnProgress } from '../core/math/progress';
import { fail, type Result } from '../core/math/result';
import type { Mesh } from '../core/mesh/mesh';
import { caught } from './caught';
import { formats } from './index';
import { MAX_FILE_BYTES, type MeshFormat, type NamedBytes } from './format';

formats satisfies { [K in keyof typeof formats]: { kind: K } };

export type FormatName = keyof typeof formats;

export const FORMATS = Object.values(formats) as readonly MeshFormat<FormatName>[];

export const READABLE_EXTENSIONS = FORMATS.filter((f) => f.read).flatMap((f) => f.extensions);
export const WRITERS = FORMATS.filter((f) => f.write);

export const extensionOf = (name: string): string => name.slice(name.lastIndexOf('.') + 1).toLowerCase();

/** The format that writes files with this extension. */
export const writerFor = (extension: string): MeshFormat<FormatName> | undefined =>
  WRITERS.find((f) => f.extensions[0] === extension);

/**
 * Reads a mesh from one file and what lay beside it. The bytes decide, the name only where they do not tell.
 * Problems: `file.empty`, `file.too-large`, `file.unknown-format`, `file.unreadable`, and those of the format.
 */
export async function readMesh(files: readonly NamedBytes[], onProgress?: OnProgress): Promise<Result<Mesh>> {
  const main = files.find(({ name }) => READABLE_EXTENSIONS.includes(extensionOf(name))) ?? files[0];
  if (!main || main.bytes.length === 0) return fail('file.empty', { file: main?.name ?? '' });
  const size = files.reduce((sum, file) => sum + file.bytes.length, 0);
  if (size > MAX_FILE_BYTES) return fail('file.too-large', { file: main.name, bytes: size, most: MAX_FILE_BYTES });
  const readers = FORMATS.filter((f) => f.read);
  const format =
    readers.find((f) => f.sniff?.(main.bytes)) ?? readers.find((f) => f.extensions.includes(extensionOf(main.name)));
  if (!format?.read) return fail('file.unknown-format', { file: main.name, known: READABLE_EXTENSIONS.join(', ') });
  return caught(main.name, () => format.read!([main, ...files.filter((file) => file !== main)], onProgress));
}
