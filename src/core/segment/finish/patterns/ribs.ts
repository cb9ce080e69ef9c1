import { definePattern } from '../pattern';

/** Round ribs across the length. */
export const ribs = definePattern({
  kind: 'ribs',
  label: 'Ribs',
  relief: 0.03,
  sample(u, v, noise) {
    const height = Math.abs(Math.sin(Math.PI * u * 12));
    const dust = noise(u, v, 30, 30);
    return { height, shade: 0.35 + 0.5 * height + 0.15 * dust, roughness: 0.55 + 0.25 * dust };
  },
});
