import { definePattern } from '../pattern';

/** Stones of several sizes in a dark ground. */
export const asphalt = definePattern({
  kind: 'asphalt',
  label: 'Asphalt grain',
  relief: 0.008,
  sample(u, v, noise) {
    const coarse = noise(u, v, 40, 40);
    const fine = noise(u, v, 110, 110);
    const stone = Math.max(coarse - 0.45, 0) * 1.8;
    const height = Math.min(0.55 * stone + 0.45 * fine, 1);
    return { height, shade: Math.min(0.2 + 0.5 * stone + 0.35 * fine * fine, 1), roughness: 0.98 - 0.12 * stone };
  },
});
