import { definePattern } from '../pattern';

/** Tufts of blades seen from above. */
export const grass = definePattern({
  kind: 'grass',
  label: 'Grass',
  relief: 0.015,
  sample(u, v, noise) {
    const tufts = noise(u, v, 9, 9);
    const clumps = noise(u, v, 31, 31);
    const blades = noise(u, v, 127, 127);
    const height = 0.35 * tufts + 0.3 * clumps + 0.35 * blades;
    return { height, shade: 0.3 * tufts + 0.3 * clumps + 0.4 * blades, roughness: 1 };
  },
});
