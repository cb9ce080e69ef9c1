import { tightnessOn } from '../core/findings/checks/folding-over';
import { BLEND, type StiffStretch } from '../core/curve/stiffen-curve';
import { SIDE, TWIST, UP, type FrameTable } from '../core/frames/frame-table';
import { slopeOf, type Slope } from '../core/shape/slope';
import { followingLanes } from '../core/shape/follower-registry';
import { eachFrameOn } from '../core/shape/frame-on';
import type { LaneName } from '../core/shape/lane';
import { valueOn } from '../core/shape/said-lanes';
import { tightest, type Tightest } from '../core/shape/tightest';
import { twistFigures, type TwistFigures } from '../core/shape/twist-evenness';
import { CREASE_ANGLE } from '../core/math/tolerance';
import type { DerivedRun } from './derived';

/** The path as places that are near to each other: metres, radians. All arrays have one entry a place, or three. */
export interface PathView {
  readonly length: number;
  readonly planLength: number;
  readonly closed: boolean;
  readonly stations: Float64Array;
  readonly line: Float64Array;
  /** Unit vectors: up and side of the frames, with all roll. */
  readonly ups: Float32Array;
  readonly sides: Float32Array;
  /** Radians per metre that matching the ends adds. */
  readonly endTwist: number;
  /** Share of the radius that the section uses on the inner side; folds over at 1. */
  readonly tightness: Float32Array;
  /** Radians per metre: how the run twists about its path, beyond least twist. */
  readonly twists: Float32Array;
  readonly twist: TwistFigures;
  /** What of roll (radians) and gauge follows from how the path bends; absent = nothing does. */
  readonly follows?: { readonly rolls: Float32Array; readonly gauges: Float32Array };
  readonly pointStations: Float64Array;
  /** Metres: where the path turns on the spot by more than a little. */
  readonly corners: readonly number[];
  readonly tightest: Tightest;
  /** The sharpest place beside what is stiff; absent = nothing is. */
  readonly besideStiff?: Tightest;
  readonly slope: Slope;
}

/** Places are at most this share of the path apart, and nearer ones than that many to a path are left out, but for ends and corners. */
const FARTHEST = 1 / 400;
const NEAREST = 1 / 16_000;

export function viewPath({ table, courses, source, stiff }: DerivedRun): PathView {
  const { length, planLength, closed, endTwist, pointStations } = table;
  const { shape, ready } = courses[0];
  const lift = source.steps.shape.lift ?? 0;
  const [stations, line, ups, sides, tightness, twists] = Array.from({ length: 6 }, (): number[] => []) as [number[], number[], number[], number[], number[], number[]]; // prettier-ignore
  let last = -Infinity;
  eachFrameOn(
    shape,
    0,
    length,
    (frame, station) => {
      if (station > last && station < last + length * NEAREST && station < length) return;
      last = station;
      stations.push(station);
      for (let c = 0; c < 3; c++) {
        line.push(c === 1 ? frame[c] - lift : frame[c]); // the path itself, not where the run lies above it
        ups.push(frame[c + UP]);
        sides.push(frame[c + SIDE]);
      }
      tightness.push(tightnessOn(ready.support, frame));
      twists.push(frame[TWIST]);
    },
    { most: length * FARTHEST, peaks: true },
  );
  const { follows } = source.steps.shape;
  const following = followingLanes(table, follows);
  const along = (name: LaneName) => Float32Array.from(stations, (station) => valueOn(following, name, station));
  return {
    ...{ length, planLength, closed, endTwist, pointStations },
    stations: Float64Array.from(stations),
    line: Float64Array.from(line),
    ups: Float32Array.from(ups),
    sides: Float32Array.from(sides),
    tightness: Float32Array.from(tightness),
    twists: Float32Array.from(twists),
    twist: twistFigures(shape),
    ...(follows && { follows: { rolls: along('roll'), gauges: along('gaugeUp') } }),
    corners: table.kinks.flatMap(({ station, angle }) => (angle > CREASE_ANGLE ? [station] : [])),
    tightest: tightest(table, shape.reach.from, shape.reach.to),
    ...(stiff.length > 0 && { besideStiff: sharpestBeside(table, stiff) }),
    slope: slopeOf(table),
  };
}

/** The sharpest place as far from a stretch as it takes to come into the bend again. */
function sharpestBeside(table: FrameTable, stiff: readonly StiffStretch[]): Tightest {
  return stiff
    .map(({ from, to }) => ({ from, to, over: BLEND * (to - from) }))
    .map(({ from, to, over }) => tightest(table, Math.max(from - over, 0), Math.min(to + over, table.length)))
    .reduce((least, own) => (own.radius < least.radius ? own : least));
}
