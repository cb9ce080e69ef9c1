import { definePattern } from '../pattern';

/** Fine strands that lie nearly along, as in rope yarn. */
export const fibre = definePattern({
  kind: 'fibre',
  label: 'Fibre',
  relief: 0.012,
  sample(u, v, noise) {
    // Lines nearly along: 14 round, of which each comes to the place of the next but one over a length.
    const strands = 0.5 + 0.5 * Math.sin(2 * Math.PI * (14 * v + 2 * u));
    const hairs = noise(u, v, 4, 90);
    const height = 0.65 * strands + 0.35 * hairs;
    return { height, shade: 0.25 + 0.55 * height + 0.2 * noise(u, v, 7, 5), roughness: 0.85 + 0.1 * hairs };
  },
});
