import { compileLane, toPlace, toStation, type LaneSpec } from './lane-spec';
import type { LaneName } from './lane';
import type { Reach } from './reach';
import type { ShapeSpec } from './shape-spec';

const WHOLE = 2 * Math.PI;

/** Every lane of a shape made another one. */
function mapLanes({ lanes }: ShapeSpec, to: (lane: LaneSpec, name: LaneName) => LaneSpec): Pick<ShapeSpec, 'lanes'> {
  if (!lanes) return {};
  const made = Object.entries(lanes).flatMap(([name, lane]) => (lane ? [[name, to(lane, name as LaneName)] as const] : [])); // prettier-ignore
  return { lanes: Object.fromEntries(made) };
}

/** The shape of a run whose path is cut: what of its reach lies in `part`, counted from `start`; metres of the path as it was. All of it lies as it did. */
export function partOfShape(shape: ShapeSpec, reach: Reach, part: Reach, start: number): ShapeSpec {
  const long = reach.to - reach.from || 1;
  const now = { from: part.from - start, to: part.to - start };
  const cut = (lane: LaneSpec): LaneSpec => {
    const { at } = compileLane(lane, reach);
    const stations = lane.keys.map(({ station }) => toStation(lane, station, reach));
    const inside = lane.keys.flatMap((key, i) => (stations[i] >= part.from && stations[i] <= part.to ? [{ station: stations[i], value: key.value }] : [])); // prettier-ignore
    const edge = (station: number) => ({ station, value: at(station)[0] });
    const first = stations.some((s) => s < part.from) && inside[0]?.station !== part.from ? [edge(part.from)] : [];
    const last = stations.some((s) => s > part.to) && inside.at(-1)?.station !== part.to ? [edge(part.to)] : [];
    const keys = [...first, ...inside, ...last].map(({ station, value }) => ({ station: toPlace(lane, station - start, now), value })); // prettier-ignore
    return { ...lane, keys };
  };
  const stiff = (shape.stiff ?? [])
    .map(({ from, to }) => ({ from: Math.max(from, part.from) - start, to: Math.min(to, part.to) - start }))
    .filter(({ from, to }) => to > from);
  return {
    ...shape,
    roll: shape.roll + (WHOLE * shape.turns * (part.from - reach.from)) / long,
    turns: (shape.turns * (part.to - part.from)) / long,
    ...mapLanes(shape, cut),
    ...(shape.stiff && { stiff: stiff.length > 0 ? stiff : undefined }),
  };
}

/** What turns the other way, or lies on the other side, when a path is run through backwards. */
const TURNS: readonly LaneName[] = ['roll', 'offsetSide'];

/** The shape of a run whose path, so many metres long, is run through the other way: all of it lies and leans as it did. */
export function reversedShape(shape: ShapeSpec, length: number): ShapeSpec {
  const turn = (lane: LaneSpec, name: LaneName): LaneSpec => {
    const whole = lane.along === 'reach' ? 1 : length;
    const value = (own: number) => (TURNS.includes(name) ? 0 - own : own);
    const keys = lane.keys.toSorted((a, b) => b.station - a.station);
    const mirrored = keys.map((key) => ({ station: Math.max(whole - key.station, 0), value: value(key.value) }));
    if (lane.blend !== 'steady') return { ...lane, keys: mirrored };
    // What held from a key on to the next one holds up to it now.
    const before = mirrored.map(({ station }, i) => ({ station, value: (mirrored[i + 1] ?? mirrored[i]).value }));
    return { ...lane, keys: mirrored[0].station > 0 ? [{ station: 0, value: mirrored[0].value }, ...before] : before };
  };
  const stiff = shape.stiff?.map(({ from, to }) => ({ from: length - to, to: length - from })).toReversed();
  return {
    ...shape,
    roll: 0 - (shape.roll + WHOLE * shape.turns),
    ...mapLanes(shape, turn),
    ...(stiff && { stiff }),
  };
}
