import { definePattern } from '../pattern';

/** Metal brushed along the length. */
export const brushed = definePattern({
  kind: 'brushed',
  label: 'Brushed metal',
  relief: 0.0015,
  sample(u, v, noise) {
    const lines = 0.6 * noise(u, v, 3, 160) + 0.4 * noise(u, v, 9, 251);
    return { height: lines, shade: 0.6 + 0.3 * lines, roughness: 0.3 + 0.25 * lines };
  },
});
