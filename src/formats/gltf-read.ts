import { fail, type Result } from '../core/math/result';
import type { Mesh } from '../core/mesh/mesh';
import type { NamedBytes } from './format';
import { checkGltf } from './gltf-check';
import { mergeDocument } from './gltf-document';
import { attemptRead, buildGltfIo, parseGltf } from './gltf-io';

/** Reads a glTF whose buffers and images lie beside it. Problems: `file.missing-beside`, and those of the format. */
export async function readGltf(main: NamedBytes, beside: readonly NamedBytes[]): Promise<Result<Mesh>> {
  const { name, bytes } = main;
  const parsed = parseGltf(name, bytes);
  if (!parsed.ok) return parsed;
  const json = parsed.value;
  const total = [main, ...beside].reduce((sum, file) => sum + file.bytes.length, 0);
  const wrong = checkGltf(name, json, total);
  if (wrong) return wrong;
  const uris = [...(json.buffers ?? []), ...(json.images ?? [])].flatMap(({ uri }) => (uri ? [uri] : []));
  const resources: Record<string, Uint8Array<ArrayBuffer>> = {};
  for (const uri of uris.filter((u) => !u.startsWith('data:'))) {
    const found = besideNamed(beside, uri);
    if (!found) return fail('file.missing-beside', { file: name, missing: plainName(uri) });
    resources[uri] = found.bytes.slice();
  }
  const read = await attemptRead(name, () => buildGltfIo().readJSON({ json, resources }));
  return read.ok ? mergeDocument(read.value) : read;
}

function besideNamed(files: readonly NamedBytes[], uri: string): NamedBytes | undefined {
  const wanted = plainName(uri).split('/').pop();
  return files.find(({ name }) => name.split('/').pop() === wanted);
}

/** A URI as a file's name; one that is no URI as it stands. */
function plainName(uri: string): string {
  try {
    return decodeURIComponent(uri);
  } catch {
    return uri;
  }
}
