import { subdivideLegs } from '../subdivide-between';
import type { Tidy } from './tidy';

export const subdivide: Tidy = {
  label: 'Put a point into every leg',
  hint: 'Twice as many points on the same curve',
  apply: (spec) => subdivideLegs(spec, () => true),
};
