import { lerp } from '../../math/vec3';
import { movePoint } from '../move-point';
import type { CurveSpec } from '../../curve/registry';
import type { Tidy } from './tidy';

export const calm: Tidy = {
  label: 'Smooth the points',
  hint: 'Every point goes half way to the middle of its neighbours; open ends stay',
  apply(spec) {
    const { points, closed } = spec;
    const n = points.length;
    return points.reduce((current: CurveSpec, { position }, i) => {
      if (n < 3 || (!closed && (i === 0 || i === n - 1))) return current;
      const middle = lerp(points[(i + n - 1) % n].position, points[(i + 1) % n].position, 0.5);
      return movePoint(current, i, lerp(position, middle, 0.5));
    }, spec);
  },
};
