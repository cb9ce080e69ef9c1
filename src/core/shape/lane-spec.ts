import { z } from 'zod';
import { blends } from './blends';
import type { Lane, LaneName } from './lane';
import type { Reach } from './reach';

blends satisfies { [K in keyof typeof blends]: { kind: K } };

export type BlendName = keyof typeof blends;

/** What a lane's keys are counted in: metres of the path, or shares of the reach, with which they then go. */
const LANE_MEASURES = ['path', 'reach'] as const;

/** A value along the length: keys over stations (metres, or shares of the reach), and how it goes from one to the next. */
export const laneSpecSchema = z.strictObject({
  blend: z.enum(Object.keys(blends) as [BlendName, ...BlendName[]]),
  /** Absent = metres of the path. */
  along: z.enum(LANE_MEASURES).optional(),
  keys: z
    .array(z.strictObject({ station: z.number().min(0).max(1e7), value: z.number().min(-1e4).max(1e4) }))
    .min(1)
    .max(2000)
    .readonly(),
});

export type LaneSpec = z.infer<typeof laneSpecSchema>;
export type LaneKey = LaneSpec['keys'][number];

export const isGauge = (name: LaneName): boolean => name === 'gaugeUp' || name === 'gaugeSide';

/** Lanes of these count as factors: they are 1 where nothing is said. */
export const isFactor = (name: LaneName): boolean => isGauge(name) || name === 'density';

/** Metres: where a place of a lane lies on the path. */
export const toStation = ({ along }: Pick<LaneSpec, 'along'>, place: number, { from, to }: Reach): number =>
  along === 'reach' ? from + place * (to - from) : place;

/** A station in metres as a lane counts it, never below its start. */
export const toPlace = ({ along }: Pick<LaneSpec, 'along'>, station: number, { from, to }: Reach): number =>
  Math.max(along === 'reach' ? (station - from) / (to - from || 1) : station, 0);

/** The lane that keys make on a reach; those that lie on one place count once. */
export function compileLane({ blend, keys, along }: LaneSpec, reach: Reach): Lane {
  const sorted = keys.toSorted((a, b) => a.station - b.station);
  const apart = sorted.filter(({ station }, i) => i === 0 || station - sorted[i - 1].station > 1e-9);
  return blends[blend].lane(
    apart.map(({ station }) => toStation({ along }, station, reach)),
    apart.map(({ value }) => value),
    undefined,
  );
}
