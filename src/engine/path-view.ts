import { tightnessOn } from '../core/findings/checks/folding-over';
import { SIDE, UP } from '../core/frames/frame-table';
import { slopeOf, type Slope } from '../core/shape/slope';
import { eachFrameOn } from '../core/shape/frame-on';
import { tightest, type Tightest } from '../core/shape/tightest';
import { CREASE_ANGLE } from '../core/math/tolerance';
import type { DerivedRun } from './derive';

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
  readonly pointStations: Float64Array;
  /** Metres: where the path turns on the spot by more than a little. */
  readonly corners: readonly number[];
  readonly tightest: Tightest;
  readonly slope: Slope;
}

/** Places are at most this share of the path apart, and nearer ones than that many to a path are left out, but for ends and corners. */
const FARTHEST = 1 / 400;
const NEAREST = 1 / 16_000;

export function viewPath({ table, courses, source }: DerivedRun): PathView {
  const { length, planLength, closed, endTwist, pointStations } = table;
  const { shape, ready } = courses[0];
  const lift = source.steps.shape.lift ?? 0;
  const [stations, line, ups, sides, tightness]: [number[], number[], number[], number[], number[]] = [
    [],
    [],
    [],
    [],
    [],
  ];
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
    },
    { most: length * FARTHEST, peaks: true },
  );
  return {
    ...{ length, planLength, closed, endTwist, pointStations },
    stations: Float64Array.from(stations),
    line: Float64Array.from(line),
    ups: Float32Array.from(ups),
    sides: Float32Array.from(sides),
    tightness: Float32Array.from(tightness),
    corners: table.kinks.flatMap(({ station, angle }) => (angle > CREASE_ANGLE ? [station] : [])),
    tightest: tightest(table, shape.reach.from, shape.reach.to),
    slope: slopeOf(table),
  };
}
