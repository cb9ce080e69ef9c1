import { definePattern } from '../pattern';

/** A plain weave: threads over and under by turns. */
export const weave = definePattern({
  kind: 'weave',
  label: 'Weave',
  relief: 0.02,
  sample(u, v, noise) {
    const n = 16;
    const [x, y] = [u * n, v * n];
    const isOver = (Math.floor(x) + Math.floor(y)) % 2 === 0;
    const [s, t] = [x - Math.floor(x), y - Math.floor(y)];
    const [along, across] = isOver ? [s, t] : [t, s];
    const height = Math.sin(Math.PI * across) * (0.55 + 0.45 * Math.sin(Math.PI * along));
    const wear = noise(u, v, 9, 9);
    return { height, shade: 0.2 + 0.6 * height + 0.2 * wear, roughness: 0.8 + 0.15 * wear };
  },
});
