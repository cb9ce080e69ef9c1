import { TWIST } from '../frames/frame-table';
import { eachFrameOn } from './frame-on';
import type { LaneKey, LaneSpec } from './lane-spec';
import { compileLane } from './lane-spec';
import type { Shape } from './shape';

/** How a run twists about its path over its reach, radians per metre, least twist counted as none. */
export interface TwistFigures {
  readonly least: number;
  readonly greatest: number;
  readonly mean: number;
  /** The root of the mean square by which it is off its mean. */
  readonly deviation: number;
}

/** Radians that a run has twisted by, from the start of its reach to each place. */
interface Twisted {
  readonly stations: readonly number[];
  readonly sums: readonly number[];
  readonly rates: readonly number[];
}

/** Places are at most this share of the reach apart. */
const FARTHEST = 1 / 800;

function twisted(shape: Shape): Twisted {
  const { from, to } = shape.reach;
  const [stations, sums, rates]: [number[], number[], number[]] = [[], [], []];
  eachFrameOn(
    shape,
    from,
    to,
    (frame, station) => {
      const rate = frame[TWIST];
      const step = stations.length > 0 ? station - stations.at(-1)! : 0;
      sums.push(step === 0 ? (sums.at(-1) ?? 0) : sums.at(-1)! + ((rates.at(-1)! + rate) / 2) * step);
      stations.push(station);
      rates.push(rate);
    },
    { most: (to - from) * FARTHEST },
  );
  return { stations, sums, rates };
}

/** How evenly a run twists. */
export function twistFigures(shape: Shape): TwistFigures {
  const { stations, sums, rates } = twisted(shape);
  const length = stations.at(-1)! - stations[0];
  const mean = length > 0 ? sums.at(-1)! / length : rates[0];
  let square = 0;
  for (let i = 1; i < stations.length; i++) {
    const [a, b] = [rates[i - 1] - mean, rates[i] - mean];
    square += ((a * a + a * b + b * b) / 3) * (stations[i] - stations[i - 1]);
  }
  const deviation = length > 0 ? Math.sqrt(square / length) : 0;
  return { ...leastAndGreatest(rates), mean, deviation };
}

const leastAndGreatest = (values: readonly number[]) =>
  values.reduce(({ least, greatest }, value) => ({ least: Math.min(least, value), greatest: Math.max(greatest, value) }), { least: Infinity, greatest: -Infinity }); // prettier-ignore

/** Radians: an evened roll is off by no more. */
const CLOSE = 2e-4;

/** The keyed roll with which a run twists evenly from the start of its reach to the end, and lies at both as it does now; `own` = what it has. */
export function evenedRoll(shape: Shape, own: LaneSpec | undefined): LaneSpec {
  const { stations, sums } = twisted(shape);
  const { from, to } = shape.reach;
  const had = own && compileLane(own, shape.reach);
  const keys = stations.flatMap((station, i): LaneKey[] => {
    if (i > 0 && station === stations[i - 1]) return [];
    const share = (station - from) / (to - from);
    return [{ station: share, value: (had?.at(station)[0] ?? 0) + sums.at(-1)! * share - sums[i] }];
  });
  return { blend: 'straight', along: 'reach', keys: needed(keys) };
}

/** Those keys without which straight lines between the others would be off. */
function needed(keys: readonly LaneKey[]): readonly LaneKey[] {
  const keep = new Set([0, keys.length - 1]);
  const between = (a: number, b: number): void => {
    let [worst, at] = [CLOSE, -1];
    for (let i = a + 1; i < b; i++) {
      const share = (keys[i].station - keys[a].station) / (keys[b].station - keys[a].station);
      const off = Math.abs(keys[i].value - keys[a].value - share * (keys[b].value - keys[a].value));
      if (off > worst) [worst, at] = [off, i];
    }
    if (at < 0) return;
    keep.add(at);
    between(a, at);
    between(at, b);
  };
  between(0, keys.length - 1);
  return keys.filter((_, i) => keep.has(i));
}
