import type { PointCorner } from '../curve/path-spec';
import type { FrameTable, Kink } from '../frames/frame-table';
import { followingLanes } from './follower-registry';
import { levelLane } from './lane';
import type { PointValues } from './point-lanes';
import type { Reach } from './reach';
import { saidLanes } from './said-lanes';
import { laneOfRun, type ShapeLane } from './shape-lane';
import type { ShapeSpec } from './shape-spec';

/** How a run has moved along its path: what lay at station s of the finished one lies at from + scale (s - from) + shift. Metres. */
export interface Ride {
  readonly from: number;
  readonly scale: number;
  readonly shift: number;
}

/** A corner that says for itself what it is to a run, metres. */
export interface OwnCorner {
  readonly station: number;
  readonly is: PointCorner;
}

/** Where a run goes and how it lies there: frames with all that is said along the length. Ask `fillFrameOn` for a place. */
export interface Shape {
  readonly table: FrameTable;
  readonly reach: Reach;
  /** Lanes of one name count together: rolls and offsets are added, gauges multiplied. */
  readonly lanes: readonly ShapeLane[];
  /** Points of the path whose corners are otherwise than the run's: where they lie, metres, and what they are. Absent = none. */
  readonly corners?: readonly OwnCorner[];
  /** Ends that lie in the plane of a surface: rows lean into it as into the plane of a corner. Absent = none do. */
  readonly flush?: readonly Kink[] | undefined;
  /** Nothing goes beyond the reach: what would lies at its end. */
  readonly isHeld?: boolean;
  /** Absent = it has not moved. */
  readonly ride?: Ride | undefined;
}

export interface ShapeInput {
  readonly reach: Reach;
  /** The path's points, for what they say of roll and gauge. */
  readonly points?: readonly PointValues[];
  readonly isHeld?: boolean;
  readonly flush?: readonly Kink[] | undefined;
}

/** The shape of a run along a path; all that is said of roll, gauge, offset and texture becomes lanes of it. */
export function buildShape(table: FrameTable, spec: Omit<ShapeSpec, 'frames' | 'lift'>, input: ShapeInput): Shape {
  const { reach, points = [], isHeld, flush } = input;
  const { pointStations, closed, length } = table;
  const said = saidLanes(spec, { reach, points, pointStations, period: closed ? length : undefined });
  const corners = points.flatMap(({ corner }, i) => (corner ? [{ station: pointStations[i], is: corner }] : []));
  return {
    table,
    reach,
    lanes: [...said, ...followingLanes(table, spec.follows)],
    ...(corners.length > 0 && { corners }),
    ...(isHeld && { isHeld }),
    ...(flush && { flush }),
  };
}

/** The shape of the run after it has moved: what goes with it has, too. */
export const movedShape = (shape: Shape, ride: Ride | undefined): Shape => ({ ...shape, ride });

/** Metres: where on the finished run that lay which lies at a station now. */
export const unmoved = ({ from, scale, shift }: Ride, station: number): number =>
  from + (station - from - shift) / scale;

/** The same run to one side of its path: metres up and sideways, square to it. */
export function besideShape(shape: Shape, up: number, side: number): Shape {
  const more: ShapeLane[] = [
    ...(up !== 0 ? [laneOfRun('offsetUp', levelLane(up))] : []),
    ...(side !== 0 ? [laneOfRun('offsetSide', levelLane(side))] : []),
  ];
  return more.length > 0 ? { ...shape, lanes: [...shape.lanes, ...more] } : shape;
}

/** The same run thicker by a factor everywhere. */
export function thickened(shape: Shape, factor: number): Shape {
  if (factor === 1) return shape;
  const both = (['gaugeUp', 'gaugeSide'] as const).map((name) => laneOfRun(name, levelLane(factor)));
  return { ...shape, lanes: [...shape.lanes, ...both] };
}

/** Stations at which lanes have to be looked at, ascending, metres. */
export function placesOf({ lanes, ride }: Shape): Float64Array {
  const places = lanes.flatMap(({ places: at, goesWith }) =>
    ride && goesWith === 'run' ? at.map((s) => ride.from + ride.scale * (s - ride.from) + ride.shift) : at,
  );
  return Float64Array.from(places).sort();
}
