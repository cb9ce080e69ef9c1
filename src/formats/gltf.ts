import { defineFormat } from './format';
import { decodeText } from './text';

export const gltf = defineFormat({
  kind: 'gltf',
  label: 'glTF',
  extensions: ['gltf'],
  mime: 'model/gltf+json',
  coats: 'blended',
  carries: 'Read only',
  sniff: (bytes) => /^\s*\{[\s\S]*"asset"\s*:/.test(decodeText(bytes.subarray(0, 4096))),
  read: async ([main, ...beside]) => (await import('./gltf-read')).readGltf(main, beside),
});
