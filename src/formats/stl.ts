import { defineFormat } from './format';
import { isAsciiStl, isBinaryStl } from './stl-sniff';

export const stl = defineFormat({
  kind: 'stl',
  label: 'STL',
  extensions: ['stl'],
  mime: 'model/stl',
  isCoarseFar: true,
  carries: 'Shape only, metres, z up for printing',
  sniff: (bytes) => isBinaryStl(bytes) || isAsciiStl(bytes),
  read: async ([main]) => (await import('./stl-read')).readStl(main),
  write: async (scene, name, onProgress) => (await import('./stl-write')).writeStl(scene, name, onProgress),
});
