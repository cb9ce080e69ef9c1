import { levelLane, slopeLane, type LaneName } from './lane';
import { compileLane, isFactor, type LaneSpec } from './lane-spec';
import { lanesOf, type PointValues } from './point-lanes';
import type { Reach } from './reach';
import { laneOfPath, laneOfRun, type ShapeLane } from './shape-lane';
import type { ShapeSpec } from './shape-spec';

/** What is said of a run along its length, but for what follows from its curve. */
export type Said = Omit<ShapeSpec, 'frames' | 'lift' | 'follows' | 'stiff' | 'cornerRadius'>;

/** Where a run lies along its path: the reach, and what the path's points say. Metres. */
export interface SaidOn {
  readonly reach: Reach;
  readonly points: readonly PointValues[];
  readonly pointStations: Float64Array;
  /** The length of a closed path. */
  readonly period: number | undefined;
}

/** All that a run, its keyed lanes and the points of its path say of roll, gauge, offset and texture. */
export function saidLanes(spec: Said, { reach, points, pointStations, period }: SaidOn): readonly ShapeLane[] {
  const { roll, turns, gauge } = spec;
  const perMetre = (2 * Math.PI * turns) / (reach.to - reach.from || 1);
  const said = lanesOf(points, pointStations, period);
  const keyed = Object.entries(spec.lanes ?? {}) as [LaneName, LaneSpec | undefined][];
  return [
    ...(roll !== 0 || turns !== 0 ? [laneOfRun('roll', slopeLane(roll, perMetre, reach.from))] : []),
    ...(gauge !== 1 ? [laneOfRun('gaugeUp', levelLane(gauge)), laneOfRun('gaugeSide', levelLane(gauge))] : []),
    ...(said.roll ? [laneOfPath('roll', said.roll)] : []),
    ...(said.gauge ? [laneOfPath('gaugeUp', said.gauge), laneOfPath('gaugeSide', said.gauge)] : []),
    ...keyed.flatMap(([name, lane]) => (lane ? [laneOfRun(name, compileLane(lane, reach))] : [])),
  ];
}

/** What lanes of a name come to at a station: factors are multiplied, all others added. */
export const valueOn = (lanes: readonly ShapeLane[], name: LaneName, station: number): number =>
  lanes
    .filter((lane) => lane.name === name)
    .map(({ at }) => at(station)[0])
    .reduce((sum, value) => (isFactor(name) ? sum * value : sum + value), isFactor(name) ? 1 : 0);
