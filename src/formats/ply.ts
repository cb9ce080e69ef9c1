import { defineFormat } from './format';

export const ply = defineFormat({
  kind: 'ply',
  label: 'PLY',
  extensions: ['ply'],
  mime: 'model/ply',
  isCoarseFar: true,
  carries: 'Metres, y up; one mesh with colours at its vertices',
  sniff: (bytes) => /^ply\r?\n/.test(new TextDecoder().decode(bytes.subarray(0, 5))),
  read: async ([main], onProgress) => (await import('./ply-read')).readPly(main, onProgress),
  write: async (scene, name) => (await import('./ply-write')).writePly(scene, name),
});
