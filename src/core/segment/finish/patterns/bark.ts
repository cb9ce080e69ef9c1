import { definePattern } from '../pattern';

/** Ridges along the length with clefts between them. */
export const bark = definePattern({
  kind: 'bark',
  label: 'Bark',
  relief: 0.05,
  sample(u, v, noise) {
    const bent = (((v + 0.06 * (noise(u, v, 5, 4) - 0.5)) % 1) + 1) % 1;
    const ridge = 1 - Math.abs(2 * noise(u, bent, 4, 22) - 1);
    const flakes = noise(u, v, 36, 60);
    const height = 0.75 * ridge ** 1.6 + 0.25 * flakes;
    return { height, shade: 0.15 + 0.7 * height + 0.15 * flakes, roughness: 0.88 + 0.1 * flakes };
  },
});
