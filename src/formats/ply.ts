import { defineFormat } from './format';
import { readPly } from './ply-read';

export const ply = defineFormat({
  kind: 'ply',
  label: 'PLY',
  extensions: ['ply'],
  mime: 'model/ply',
  carries: 'Read only',
  sniff: (bytes) => /^ply\r?\n/.test(new TextDecoder().decode(bytes.subarray(0, 5))),
  read: async ([main], onProgress) => readPly(main!, onProgress),
});
