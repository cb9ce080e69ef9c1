import type { ScaleLinear } from 'd3-scale';
import { compileLane, toStation, type LaneKey } from '../../core/shape/lane-spec';
import type { Reach } from '../../core/shape/reach';
import { laneOf, type LanePick } from '../../project/commands/lanes';
import type { Run } from '../../project/schema';
import { laneKind } from './lane-kinds';

/** A key and the station at which it lies, metres. */
export interface LaidKey {
  readonly key: LaneKey;
  readonly station: number;
}

export const laidKeys = (run: Run, pick: LanePick, reach: Reach): readonly LaidKey[] => {
  const lane = laneOf(run, pick);
  return (lane?.keys ?? []).map((key) => ({ key, station: toStation(lane!, key.station, reach) }));
};

/** What a lane's own keys come to at a station; what it is without any where it has none. */
export function ownValue(run: Run, pick: LanePick, reach: Reach, station: number): number {
  const lane = laneOf(run, pick);
  return lane ? compileLane(lane, reach).at(station)[0] : (laneKind(pick).neutral ?? 0);
}

/** Pixels between two looks at a curve. */
const EVERY = 2;

/** Stations to look at, those of the reach that are seen. */
export function looksAt(x: ScaleLinear<number, number>, { from, to }: Reach): readonly number[] {
  const [left, right] = x.range() as [number, number];
  const [a, b] = [Math.max(x(from), left), Math.min(x(to), right)];
  if (b < a) return [];
  return Array.from({ length: Math.ceil((b - a) / EVERY) + 1 }, (_, i) => x.invert(Math.min(a + i * EVERY, b)));
}

/** Least and greatest value that a lane has room for, given those that it has. */
export function domainOf(pick: LanePick, values: readonly number[]): [number, number] {
  const { neutral = 0, quantity } = laneKind(pick);
  const [least, most] = [Math.min(neutral, ...values), Math.max(neutral, ...values)];
  // Gauges are seen from nothing on, so that the lane looks as thick as the run.
  if (quantity === 'plain') return [0, Math.max(most * 1.15, 1.25)];
  const room = Math.max((most - least) * 0.1, quantity === 'angle' ? Math.PI / 36 : 0.02);
  return [least - room, most + room];
}
