import { definePattern } from '../pattern';

/** Broad bands of two colours along the length. */
export const stripes = definePattern({
  kind: 'stripes',
  label: 'Stripes',
  relief: 0,
  sample(u, v, noise) {
    // The edge between two bands is as wide as the pixel of a common size, so that it is not ragged.
    const wave = Math.sin(2 * Math.PI * u);
    const shade = Math.min(Math.max(0.5 + wave * 40, 0), 1);
    return { height: 0.5, shade, roughness: 0.6 + 0.1 * noise(u, v, 20, 20) };
  },
});
