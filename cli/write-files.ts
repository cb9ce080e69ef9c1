import { writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import type { NamedBytes } from '../src/formats/format';

/** The first file as `target`, the others beside it under their own names. */
export async function writeFiles([first, ...beside]: readonly NamedBytes[], target: string): Promise<void> {
  await writeFile(target, first.bytes);
  for (const { name, bytes } of beside) await writeFile(join(dirname(target), name), bytes);
}
