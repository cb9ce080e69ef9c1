/** A value along the length: at a station (metres) value and slope, per metre. */
export type Along = (station: number) => readonly [value: number, slope: number];

/** A value along the length, and the stations at which whoever samples it has to look, ascending, metres. */
export interface Lane {
  readonly at: Along;
  readonly places: readonly number[];
  /** Those of them at which its slope or the value itself jumps; absent = none. */
  readonly jumps?: readonly number[];
  /** Of a lane that is one straight line: what `at` comes to, for those who ask for every row and do without its pair of numbers. */
  readonly line?: { readonly value: number; readonly perMetre: number; readonly from: number };
}

/** What lanes can say of a run. */
export const LANE_NAMES = [
  'roll',
  'gaugeUp',
  'gaugeSide',
  'offsetUp',
  'offsetSide',
  'textureShift',
  'density',
] as const;

export type LaneName = (typeof LANE_NAMES)[number];

export const levelLane = (value: number): Lane => slopeLane(value, 0, 0);

/** From `value` at `station` on so much per metre. */
export const slopeLane = (value: number, perMetre: number, from: number): Lane => ({
  at: (station) => [value + perMetre * (station - from), perMetre],
  places: [],
  line: { value, perMetre, from },
});

/** The exponential of a lane: values that stay above zero and halve as evenly as they double. */
export const expLane = ({ at, places }: Lane): Lane => ({
  places,
  at(station) {
    const [log, slope] = at(station);
    const value = Math.exp(log);
    return [value, value * slope];
  },
});

/** Looks from one key to the next, so that blending between them is as good as the lane itself. */
const LOOKS = 24;

/** Keys with so many places between each and the next; `period` = the length of a closed path. */
export function placesBetween(keys: readonly number[], period?: number, looks = LOOKS): number[] {
  if (keys.length === 0) return [];
  const ends = period === undefined ? keys : [keys.at(-1)! - period, ...keys, keys[0] + period];
  const places = ends.flatMap((at, i) => {
    const next = ends[i + 1] ?? at;
    return Array.from({ length: next > at ? looks : 1 }, (_, k) => at + ((next - at) * k) / looks);
  });
  return period === undefined ? places : places.filter((s) => s >= 0 && s <= period);
}
