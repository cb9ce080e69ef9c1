import type { JSONDocument } from '@gltf-transform/core';
import { fail } from '../core/math/result';
import { defineFormat, type NamedBytes } from './format';
import { mergeDocument } from './gltf-document';
import { attemptRead, buildGltfIo } from './gltf-io';

export const gltf = defineFormat({
  kind: 'gltf',
  label: 'glTF',
  extensions: ['gltf'],
  mime: 'model/gltf+json',
  carries: 'Read only',
  sniff: (bytes) => /^\s*\{[\s\S]*"asset"\s*:/.test(new TextDecoder().decode(bytes.subarray(0, 4096))),
  async read([main, ...beside]) {
    const { name, bytes } = main!;
    let json: JSONDocument['json'];
    try {
      json = JSON.parse(new TextDecoder().decode(bytes)) as JSONDocument['json'];
    } catch (error) {
      return fail('gltf.broken', { file: name, reason: error instanceof Error ? error.message : String(error) });
    }
    const uris = [...(json.buffers ?? []), ...(json.images ?? [])].flatMap(({ uri }) => (uri ? [uri] : []));
    const resources: Record<string, Uint8Array<ArrayBuffer>> = {};
    for (const uri of uris.filter((u) => !u.startsWith('data:'))) {
      const found = besideNamed(beside, uri);
      if (!found) return fail('file.missing-beside', { file: name, missing: decodeURIComponent(uri) });
      resources[uri] = found.bytes.slice();
    }
    const read = await attemptRead(name, () => buildGltfIo().readJSON({ json, resources }));
    return read.ok ? mergeDocument(read.value) : read;
  },
});

function besideNamed(files: readonly NamedBytes[], uri: string): NamedBytes | undefined {
  const wanted = decodeURIComponent(uri).split('/').pop();
  return files.find(({ name }) => name.split('/').pop() === wanted);
}
