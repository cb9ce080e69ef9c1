import { defineFormat } from './format';
import { decodeText } from './text';

export const obj = defineFormat({
  kind: 'obj',
  label: 'OBJ',
  extensions: ['obj'],
  mime: 'model/obj',
  coats: 'cut',
  carries: 'Metres, y up; materials in an .mtl beside it',
  sniff: (bytes) => /^\s*(#[^\n]*\n\s*)*(v|o|g|mtllib|usemtl)\s/.test(decodeText(bytes.subarray(0, 2048))),
  read: async ([main, ...beside], onProgress) => (await import('./obj-read')).readObj(main, beside, onProgress),
  write: async (scene, name, onProgress) => (await import('./obj-write')).writeObj(scene, name, onProgress),
});
