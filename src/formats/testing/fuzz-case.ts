import type { NamedBytes } from '../format';
import { extensionOf, FORMATS } from '../registry';
import { PATH_READERS } from '../paths/registry';
import { damaged } from './damage';

export interface FuzzCase {
  readonly what: 'mesh' | 'path';
  readonly file: NamedBytes;
  readonly seed: number;
}

export interface FuzzOutcome {
  /** What a reader threw, below the net. */
  readonly threw?: string | undefined;
  readonly isRead: boolean;
  readonly milliseconds: number;
  /** Bytes that the process grew by at its highest, and bytes of the file. */
  readonly grown: number;
  readonly bytes: number;
}

/** Reads a damaged copy of a file with its own reader, without the net below readers. */
export async function fuzzCase({ what, file, seed }: FuzzCase): Promise<FuzzOutcome> {
  const bytes = damaged(file.bytes, seed);
  const extension = extensionOf(file.name);
  const highest = () => process.resourceUsage().maxRSS * 1024;
  const [before, begun] = [highest(), performance.now()];
  const measured = () => ({ milliseconds: performance.now() - begun, grown: highest() - before, bytes: bytes.length });
  try {
    const named = { name: file.name, bytes };
    const result = await (what === 'mesh' ? readAsMesh(extension, named) : readAsPaths(extension, named));
    return { isRead: result.ok, ...measured() };
  } catch (error) {
    const threw =
      error instanceof Error ? (error.stack ?? error.message).split('\n').slice(0, 3).join(' ') : String(error);
    return { isRead: false, threw, ...measured() };
  }
}

const readAsMesh = (extension: string, file: NamedBytes) =>
  FORMATS.find(({ extensions, read }) => read && extensions.includes(extension))!.read!([file]);

const readAsPaths = async (extension: string, file: NamedBytes) =>
  (await PATH_READERS.find(({ extensions }) => extensions.includes(extension))!.load())(file);
