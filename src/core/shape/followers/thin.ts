import { z } from 'zod';
import { bendAlong, readAlong } from '../bend-along';
import { defineFollower } from '../follower';
import { laneOfPath } from '../shape-lane';
import { easedLane, easedStep } from './eased-lane';

/** Thinner where it bends more tightly than it can at full thickness: in the ratio of the radii, so that its inner side uses the same share of each. */
export const thin = defineFollower({
  label: 'Thinner in tight bends',
  hint: 'As much as keeps the inner side from folding over',
  schema: z.strictObject({
    /** Metres: the tightest bend that it takes at full thickness. */
    radius: z.number().min(1e-6).max(1e6),
    /** Factor: it never gets thinner. */
    least: z.number().min(0.01).max(1),
    /** Metres. */
    ease: z.number().min(0).max(1e5),
  }),
  defaults: { radius: 1, least: 0.3, ease: 1 },
  fields: [
    { input: 'number', key: 'radius', label: 'Full down to a radius of', unit: 'm', step: 0.1 },
    { input: 'number', key: 'least', label: 'No thinner than', unit: 'share', step: 0.05 },
    { input: 'number', key: 'ease', label: 'Comes and goes over', unit: 'm', step: 0.1 },
  ],
  lanes(table, { radius, least, ease }) {
    const { length, closed } = table;
    const step = easedStep(ease, length);
    const half = Math.min(Math.max(ease, step), length) / 2;
    const { stations, curvature } = bendAlong(table, step);
    const asked = curvature.map((bend) => Math.max(Math.min(1 / (bend * radius), 1), least));
    const count = Math.max(Math.ceil(length / step), 2);
    const reach = Math.max(Math.round((half * count) / length), 1);
    const near = (i: number) => (closed ? ((i % count) + count) % count : Math.min(Math.max(i, 0), count));
    const around = (values: readonly number[], i: number) =>
      Array.from({ length: 2 * reach + 1 }, (_, k) => values[near(i + k - reach)]);
    // The least around each place, then its mean: never above what is asked for, and as smooth as it is wide.
    const lows = lowsBetween(stations, asked, count, length);
    if (closed) lows[0] = Math.min(lows[0], lows[count]);
    const held = lows.map((_, i) => Math.min(...around(lows, i)));
    const means = held.map((_, i) => around(held, i).reduce((sum, value) => sum + value, 0) / (2 * reach + 1));
    const places = means.map((_, i) => (i * length) / count);
    const lane = easedLane(table, length / count, 1, (station) => readAlong(places, means, station));
    return lane ? [laneOfPath('gaugeUp', lane), laneOfPath('gaugeSide', lane)] : [];
  },
});

/** The least value around each of `count` + 1 even places, up to half way to the next. */
function lowsBetween(stations: readonly number[], values: readonly number[], count: number, length: number): number[] {
  const lows = new Array<number>(count + 1).fill(1);
  stations.forEach((station, i) => {
    const at = Math.round((station * count) / length);
    lows[at] = Math.min(lows[at], values[i]);
  });
  return lows;
}
