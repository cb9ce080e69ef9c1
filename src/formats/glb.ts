import { defineFormat } from './format';

const MAGIC = [0x67, 0x6c, 0x54, 0x46]; // "glTF"

export const glb = defineFormat({
  kind: 'glb',
  label: 'GLB',
  extensions: ['glb'],
  mime: 'model/gltf-binary',
  coats: 'blended',
  carries: 'Metres, y up; materials and textures inside',
  sniff: (bytes) => bytes.length >= 12 && MAGIC.every((byte, i) => bytes[i] === byte),
  read: async ([main]) => (await import('./glb-files')).readGlbMesh(main),
  repeats: true,
  write: async (scene, name, onProgress, repeated) =>
    (await import('./glb-files')).writeGlb(scene, name, onProgress, repeated),
});
