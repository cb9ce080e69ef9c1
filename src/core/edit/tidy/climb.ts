import { climbEvenly } from '../climb-evenly';
import type { Tidy } from './tidy';

export const climb: Tidy = {
  label: 'Climb evenly',
  hint: 'From the height of the first point to that of the last, as seen from above',
  apply: (spec) => climbEvenly(spec, (spec.points.at(-1)?.position[1] ?? 0) - (spec.points[0]?.position[1] ?? 0)),
};
