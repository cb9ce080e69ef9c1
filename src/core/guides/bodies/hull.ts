import type { Vec3 } from '../../math/vec3';
import { flatBody } from '../flat-body';
import { defineGuideBody } from '../guide-body';

/** Frames from the stern to the stem: share of the length, of the beam, and of the height by which the deck rises. */
const FRAMES = [
  [0, 0.86, 0], [0.3, 1, 0], [0.62, 0.98, 0.02], [0.78, 0.82, 0.07], [0.9, 0.5, 0.15], [0.97, 0.2, 0.21], [1, 0.03, 0.25],
] as const; // prettier-ignore
/** Share of the beam that the bottom has. */
const BOTTOM = 0.62;
/** How far the stem leans out, of the height. */
const RAKE = 0.35;

export const hull = defineGuideBody({
  kind: 'hull',
  label: 'Hull',
  hint: 'A boat, its bow along +x; it stands on its keel',
  fields: [
    { key: 'x', label: 'Length (x)', initial: 8 },
    { key: 'y', label: 'Height (y)', initial: 1.8 },
    { key: 'z', label: 'Beam (z)', initial: 3 },
  ],
  build(size) {
    const [length, height, beam] = [size('x'), size('y'), size('z')];
    /** Bottom left, deck left, deck right, bottom right. */
    const frames = FRAMES.map(([at, wide, rise]): Vec3[] => {
      const x = (at - 0.5) * length;
      const lean = at > 0.75 ? ((at - 0.75) / 0.25) * RAKE * height : 0;
      const half = (beam / 2) * wide;
      const y = height * (1 + rise);
      return [[x - lean, 0, -half * BOTTOM], [x, y, -half], [x, y, half], [x - lean, 0, half * BOTTOM]]; // prettier-ignore
    });
    const sides = frames.slice(1).flatMap((next, i) => {
      const own = frames[i];
      return [0, 1, 2, 3].map((k) => [own[k], next[k], next[(k + 1) % 4], own[(k + 1) % 4]].toReversed());
    });
    return flatBody([frames[0].toReversed(), frames[frames.length - 1], ...sides]);
  },
});
