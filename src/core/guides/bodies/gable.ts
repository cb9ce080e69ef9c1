import { flatBody } from '../flat-body';
import { defineGuideBody } from '../guide-body';

/** Metres: how thick its two slopes are. */
const THICKNESS = 0.08;

export const gable = defineGuideBody({
  kind: 'gable',
  label: 'Gable roof',
  hint: 'Two slopes that meet in a ridge along its length; it stands on its eaves',
  fields: [
    { key: 'x', label: 'Length (x)', initial: 3 },
    { key: 'y', label: 'Height (y)', initial: 1 },
    { key: 'z', label: 'Depth (z)', initial: 2.6 },
  ],
  build(size) {
    const [x, y, z] = [size('x') / 2, size('y'), size('z') / 2];
    const end = (at: number) => [[at, 0, -z], [at, THICKNESS, -z], [at, y, 0], [at, THICKNESS, z], [at, 0, z]] as const; // prettier-ignore
    const [near, far] = [end(x), end(-x)];
    const slopes = near.map((_, i) => {
      const next = (i + 1) % near.length;
      return [near[i], far[i], far[next], near[next]];
    });
    return flatBody([near, far.toReversed(), ...slopes]);
  },
});
