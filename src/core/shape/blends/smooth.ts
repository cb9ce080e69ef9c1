import { monotoneCubic } from '../../math/monotone-cubic';
import { defineBlend } from '../blend';
import { placesBetween } from '../lane';

/** A smooth curve that never swings beyond its neighbours; level before the first key and after the last. */
export const smooth = defineBlend({
  kind: 'smooth',
  label: 'smooth',
  lane: (stations, values, period) => ({
    at: monotoneCubic(stations, values, period),
    places: stations.length > 1 ? placesBetween(stations, period) : [...stations],
  }),
});
