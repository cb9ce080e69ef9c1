import { firstAfter } from '../../math/first-after';
import { defineBlend } from '../blend';

/** In a straight line from one key to the next; level before the first and after the last. */
export const straight = defineBlend({
  kind: 'straight',
  label: 'straight',
  lane(stations, values, period) {
    const isRound = period !== undefined && stations.length > 1;
    const xs = isRound ? [...stations, stations[0] + period] : stations;
    const ys = isRound ? [...values, values[0]] : values;
    return {
      places: [...stations],
      jumps: [...stations],
      at(station) {
        const s = isRound ? xs[0] + ((((station - xs[0]) % period) + period) % period) : station;
        const i = firstAfter(xs, s);
        if (i === 0 || i === xs.length) return [ys[Math.max(i - 1, 0)], 0];
        const slope = (ys[i] - ys[i - 1]) / (xs[i] - xs[i - 1]);
        return [ys[i - 1] + slope * (s - xs[i - 1]), slope];
      },
    };
  },
});
