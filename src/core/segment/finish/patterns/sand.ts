import { definePattern } from '../pattern';

/** Grains on the long ripples that water leaves. */
export const sand = definePattern({
  kind: 'sand',
  label: 'Rippled sand',
  relief: 0.012,
  sample(u, v, noise) {
    const bend = 0.09 * noise(u, v, 3, 3) + 0.03 * noise(u, v, 7, 7);
    const ripple = 0.5 + 0.5 * Math.sin(2 * Math.PI * (7 * u + 6 * bend));
    const grains = noise(u, v, 120, 120);
    const wet = noise(u, v, 4, 5);
    const height = 0.7 * ripple ** 1.5 + 0.3 * grains;
    return { height, shade: 0.35 * wet + 0.35 * height + 0.3 * grains, roughness: 0.8 + 0.2 * wet };
  },
});
