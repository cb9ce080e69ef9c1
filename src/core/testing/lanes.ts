import type { LaneSpec } from '../shape/lane-spec';

/** A lane that goes straight from key to key: stations in metres and values. */
export const keyed = (...keys: readonly (readonly [station: number, value: number])[]): LaneSpec => ({
  blend: 'straight',
  keys: keys.map(([station, value]) => ({ station, value })),
});
