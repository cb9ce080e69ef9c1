import { defineFormat } from './format';

export const ply = defineFormat({
  kind: 'ply',
  label: 'PLY',
  extensions: ['ply'],
  mime: 'model/ply',
  carries: 'Read only',
  sniff: (bytes) => /^ply\r?\n/.test(new TextDecoder().decode(bytes.subarray(0, 5))),
  read: async ([main], onProgress) => (await import('./ply-read')).readPly(main, onProgress),
});
