import type { LaneKey, LaneSpec } from './lane-spec';

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
