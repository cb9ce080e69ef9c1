import { compileLane, toPlace, type LaneKey, type LaneSpec } from './lane-spec';
import type { Reach } from './reach';

/** A key's value at a place. */
export const keyAt = ({ keys }: LaneSpec, place: number): LaneKey | undefined =>
  keys.find(({ station }) => station === place);

const inOrder = (keys: readonly LaneKey[]): LaneKey[] => keys.toSorted((a, b) => a.station - b.station);

/** With a key at a place, in the stead of one that was there. */
export const withKey = (lane: LaneSpec, key: LaneKey): LaneSpec => ({
  ...lane,
  keys: inOrder([...lane.keys.filter(({ station }) => station !== key.station), key]),
});

/** Without the keys at these places; undefined when none is left. */
export function withoutKeys(lane: LaneSpec, places: readonly number[]): LaneSpec | undefined {
  const keys = lane.keys.filter(({ station }) => !places.includes(station));
  return keys.length > 0 ? { ...lane, keys } : undefined;
}

/** What happens to keys that are moved: how far along, in the lane's own measure up to `most`, and what becomes of their values. */
export interface KeyMove {
  readonly by: number;
  readonly most: number;
  readonly value?: (value: number) => number;
}

/** The keys at these places moved, all of them as far as each can go; one that comes to lie on another takes its place. */
export function withMovedKeys(
  lane: LaneSpec,
  places: readonly number[],
  { by, most, value = (own) => own }: KeyMove,
): { readonly lane: LaneSpec; readonly places: readonly number[] } {
  const moved = lane.keys.filter(({ station }) => places.includes(station));
  if (moved.length === 0) return { lane, places: [] };
  const least = Math.min(...moved.map(({ station }) => station));
  const farthest = Math.max(...moved.map(({ station }) => station));
  const step = Math.min(Math.max(by, -least), Math.max(most - farthest, 0));
  const put = moved.map((key) => ({ station: key.station + step, value: value(key.value) }));
  const taken = new Set(put.map(({ station }) => station));
  const left = lane.keys.filter((key) => !moved.includes(key) && !taken.has(key.station));
  return { lane: { ...lane, keys: inOrder([...left, ...put]) }, places: [...taken] };
}

/** Where a run is to be otherwise: at a station of its path, and over how much to either side, metres. */
export interface Bump {
  readonly station: number;
  readonly over: number;
  readonly reach: Reach;
}

/** A lane with so much more (or, where `neutral` is 1, times as much) at a place, and as it was beyond what lies around that. */
export function bumped(lane: LaneSpec | undefined, neutral: 0 | 1, value: number, at: Bump): LaneSpec | undefined {
  if (value === neutral) return lane;
  const { station, over, reach } = at;
  const measure = lane ?? ({ along: 'reach' } as const);
  const was = (s: number) => (lane ? compileLane(lane, reach).at(s)[0] : neutral);
  const [from, to] = [Math.max(station - over, reach.from), Math.min(station + over, reach.to)];
  const key = (s: number, own = was(s)): LaneKey => ({ station: toPlace(measure, s, reach), value: own });
  const peak = key(station, neutral === 1 ? was(station) * value : was(station) + value);
  const [first, last] = [key(from), key(to)];
  const kept = (lane?.keys ?? []).filter((own) => own.station < first.station || own.station > last.station);
  const made = [first, peak, last].filter((own, i) => i === 1 || own.station !== peak.station);
  const own = lane ?? ({ blend: 'smooth', along: 'reach' } as const);
  return { ...own, keys: inOrder([...kept, ...made]) };
}
