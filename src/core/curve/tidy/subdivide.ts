import { legCount } from '../legs';
import { MAX_PATH_POINTS } from '../path-spec';
import { compileCurve, curveKind, type CurveSpec } from '../registry';
import type { Tidy } from './tidy';

export const subdivide: Tidy = {
  label: 'Put a point into every leg',
  hint: 'Twice as many points on the same curve',
  apply(spec) {
    if (!compileCurve(spec).ok || spec.points.length * 2 > MAX_PATH_POINTS) return spec;
    let current: CurveSpec = spec;
    // From the end, so that the legs before keep their numbers.
    for (let leg = legCount(spec.points.length, spec.closed) - 1; leg >= 0; leg--) {
      current = { ...current, points: curveKind(current).insert(current, leg, 0.5).points };
    }
    return current;
  },
};
