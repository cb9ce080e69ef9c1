import { tightnessOf } from '../core/findings/checks/folding-over';
import { SIDE, UP } from '../core/frames/frame-table';
import { slopeOf, type Slope } from '../core/frames/slope';
import { eachFrame, tightest, type Tightest } from '../core/frames/tightness';
import { CREASE_ANGLE } from '../core/math/tolerance';
import type { DerivedRun } from './derive';

/** The path as places that are near to each other: metres, radians. All arrays have one entry a place, or three. */
export interface PathView {
  readonly length: number;
  readonly planLength: number;
  readonly closed: boolean;
  readonly stations: Float64Array;
  readonly line: Float64Array;
  /** Unit vectors: up and side of the frames. */
  readonly ups: Float32Array;
  readonly sides: Float32Array;
  /** Radians per metre that matching the ends adds. */
  readonly endTwist: number;
  /** Share of the radius that the section uses on the inner side; folds over at 1. */
  readonly tightness: Float32Array;
  readonly pointStations: Float64Array;
  /** Metres: where the path turns on the spot by more than a little. */
  readonly corners: readonly number[];
  readonly tightest: Tightest;
  readonly slope: Slope;
}

/** Places are at most this share of the path apart, and nearer ones than that many to a path are left out, but for ends and corners. */
const FARTHEST = 1 / 400;
const NEAREST = 1 / 16_000;

export function viewPath({ plan, table, ready, source }: DerivedRun): PathView {
  const { length, planLength, closed, endTwist, pointStations } = table;
  const { reach } = plan.laying;
  const lift = source.job.bending.lift ?? 0;
  const checked = { table, support: ready.support, job: source.job, laying: plan.laying };
  const [stations, line, ups, sides, tightness]: number[][] = [[], [], [], [], []];
  let last = -Infinity;
  eachFrame(
    table,
    0,
    length,
    (frames, at, station) => {
      if (station > last && station < last + length * NEAREST && station < length) return;
      last = station;
      stations!.push(station);
      for (let c = at; c < at + 3; c++) {
        line!.push(c === at + 1 ? frames[c]! - lift : frames[c]!); // the path itself, not where the run lies above it
        ups!.push(frames[c + UP]!);
        sides!.push(frames[c + SIDE]!);
      }
      tightness!.push(tightnessOf(checked, frames, at, station));
    },
    { most: length * FARTHEST, peaks: true },
  );
  return {
    ...{ length, planLength, closed, endTwist, pointStations },
    stations: Float64Array.from(stations!),
    line: Float64Array.from(line!),
    ups: Float32Array.from(ups!),
    sides: Float32Array.from(sides!),
    tightness: Float32Array.from(tightness!),
    corners: table.kinks.flatMap(({ station, angle }) => (angle > CREASE_ANGLE ? [station] : [])),
    tightest: tightest(table, reach.from, reach.to),
    slope: slopeOf(table),
  };
}
