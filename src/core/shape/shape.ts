import type { FrameTable } from '../frames/frame-table';
import { blends } from './blends';
import { expLane, levelLane, slopeLane, type Lane, type LaneName } from './lane';
import { lanesOf, type PointValues } from './point-lanes';
import type { Reach } from './reach';
import type { LaneSpec, ShapeSpec } from './shape-spec';

/** How a run has moved along its path: what lay at station s of the finished one lies at from + scale (s - from) + shift. Metres. */
export interface Ride {
  readonly from: number;
  readonly scale: number;
  readonly shift: number;
}

/** One thing that is said of a run along its length. */
export interface ShapeLane extends Lane {
  readonly name: LaneName;
  /** Whether it goes with the run when that moves, or stays with the path. */
  readonly goesWith: 'run' | 'path';
}

/** Where a run goes and how it lies there: frames with all that is said along the length. Ask `fillFrameOn` for a place. */
export interface Shape {
  readonly table: FrameTable;
  readonly reach: Reach;
  /** Lanes of one name count together: rolls and offsets are added, gauges multiplied. */
  readonly lanes: readonly ShapeLane[];
  /** Absent = it has not moved. */
  readonly ride?: Ride | undefined;
}

export interface ShapeInput {
  readonly reach: Reach;
  /** The path's points, for what they say of roll and gauge. */
  readonly points?: readonly PointValues[];
}

type Said = Omit<ShapeSpec, 'frames' | 'lift'>;

/** The shape of a run along a path; all that is said of roll, gauge, offset and texture becomes lanes of it. */
export function buildShape(table: FrameTable, spec: Said, { reach, points = [] }: ShapeInput): Shape {
  const ofRun = (name: LaneName, lane: Lane): ShapeLane => ({ ...lane, name, goesWith: 'run' });
  const ofPath = (name: LaneName, lane: Lane | undefined): ShapeLane[] =>
    lane ? [{ ...lane, name, goesWith: 'path' }] : [];
  const { roll, turns, gauge } = spec;
  const perMetre = (2 * Math.PI * turns) / (reach.to - reach.from || 1);
  const said = lanesOf(points, table.pointStations, table.closed ? table.length : undefined);
  const keyed = Object.entries(spec.lanes ?? {}) as [LaneName, LaneSpec | undefined][];
  const lanes = [
    ...(roll !== 0 || turns !== 0 ? [ofRun('roll', slopeLane(roll, perMetre, reach.from))] : []),
    ...(gauge !== 1 ? [ofRun('gaugeUp', levelLane(gauge)), ofRun('gaugeSide', levelLane(gauge))] : []),
    ...ofPath('roll', said.roll),
    ...ofPath('gaugeUp', said.gauge),
    ...ofPath('gaugeSide', said.gauge),
    ...keyed.flatMap(([name, lane]) => (lane ? [ofRun(name, keyedLane(name, lane))] : [])),
  ];
  return { table, reach, lanes };
}

/** Gauges are blended by their logarithms. */
function keyedLane(name: LaneName, { blend, keys }: LaneSpec): Lane {
  const sorted = keys.toSorted((a, b) => a.station - b.station);
  const apart = sorted.filter(({ station }, i) => i === 0 || station - sorted[i - 1].station > 1e-9);
  const stations = apart.map(({ station }) => station);
  const values = apart.map(({ value }) => value);
  if (name !== 'gaugeUp' && name !== 'gaugeSide') return blends[blend].lane(stations, values, undefined);
  return expLane(blends[blend].lane(stations, values.map(Math.log), undefined));
}

/** The shape of the run after it has moved: what goes with it has, too. */
export const movedShape = (shape: Shape, ride: Ride | undefined): Shape => ({ ...shape, ride });

/** Metres: where on the finished run that lay which lies at a station now. */
export const unmoved = ({ from, scale, shift }: Ride, station: number): number =>
  from + (station - from - shift) / scale;

/** The same run to one side of its path: metres up and sideways, square to it. */
export function besideShape(shape: Shape, up: number, side: number): Shape {
  const more: ShapeLane[] = [
    ...(up !== 0 ? [{ ...levelLane(up), name: 'offsetUp', goesWith: 'run' } as const] : []),
    ...(side !== 0 ? [{ ...levelLane(side), name: 'offsetSide', goesWith: 'run' } as const] : []),
  ];
  return more.length > 0 ? { ...shape, lanes: [...shape.lanes, ...more] } : shape;
}

/** The same run thicker by a factor everywhere. */
export function thickened(shape: Shape, factor: number): Shape {
  if (factor === 1) return shape;
  const lane = (name: LaneName): ShapeLane => ({ ...levelLane(factor), name, goesWith: 'run' });
  return { ...shape, lanes: [...shape.lanes, lane('gaugeUp'), lane('gaugeSide')] };
}

/** Stations at which lanes have to be looked at, ascending, metres. */
export function placesOf({ lanes, ride }: Shape): Float64Array {
  const places = lanes.flatMap(({ places: at, goesWith }) =>
    ride && goesWith === 'run' ? at.map((s) => ride.from + ride.scale * (s - ride.from) + ride.shift) : at,
  );
  return Float64Array.from(places).sort();
}
