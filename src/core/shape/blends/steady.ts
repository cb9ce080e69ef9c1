import { firstAfter } from '../../math/first-after';
import { defineBlend } from '../blend';

/** Each value holds until the next key. */
export const steady = defineBlend({
  kind: 'steady',
  label: 'steady',
  lane(stations, values, period) {
    const wrap = (s: number) =>
      period === undefined ? s : stations[0] + ((((s - stations[0]) % period) + period) % period);
    return {
      places: [...stations],
      jumps: [...stations],
      at: (station) => [values[Math.max(firstAfter(stations, wrap(station)) - 1, 0)], 0],
    };
  },
});
