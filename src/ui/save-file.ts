import type { NamedBytes } from '../formats/format';

/** Hands a file to the browser to be saved; several as one zip called `name`. */
export async function saveFiles(files: readonly NamedBytes[], name: string, mime: string): Promise<void> {
  const [first, ...more] = files;
  if (!first) return;
  if (more.length === 0)
    return saveBlob(new Blob([first.bytes as Uint8Array<ArrayBuffer>], { type: mime }), first.name);
  const { zipFiles } = await import('../formats/zip');
  const zipped = zipFiles(files);
  saveBlob(new Blob([zipped as Uint8Array<ArrayBuffer>], { type: 'application/zip' }), `${name}.zip`);
}

export function saveBlob(blob: Blob, name: string): void {
  const url = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

/** A name that every file system takes. */
export const fileNameOf = (name: string): string =>
  name
    .trim()
    .replace(/[^\p{L}\p{N}._-]+/gu, '-')
    .replace(/^[-.]+|[-.]+$/g, '') || 'rattan';
