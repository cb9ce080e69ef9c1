import type { PointCorner } from '../curve/path-spec';
import { FRAME_STRIDE } from '../frames/frame-table';
import { firstAfter } from '../math/first-after';
import { frameOn } from '../shape/frame-on';
import type { Box } from '../mesh/box';
import { ALONG_THE_PATH, type Measure } from '../shape/measure';
import { buildPlanMeasure } from '../shape/plan-measure';
import { buildSideMeasure } from '../shape/side-measure';
import type { OwnCorner, Shape } from '../shape/shape';
import { chordsOf, type Chords } from './chords';
import { straightChords } from './straight-chords';

/** The path as laying sees it. Stations and heights in metres. */
export interface LaidPath {
  readonly length: number;
  readonly closed: boolean;
  /** How pieces measure along it. */
  readonly measure: Measure;
  /** Ascending. */
  readonly pointStations: readonly number[];
  /** `is` = what a corner is to the run, where its point says so for itself. */
  readonly corners: readonly {
    readonly station: number;
    readonly angle: number;
    readonly is?: PointCorner | undefined;
  }[];
  heightAt(station: number): number;
  /** The first station in [from, to] at which the path is at a height, or as near to it as it comes. */
  stationAtHeight(height: number, from: number, to: number): number;
  chords(from: number, to: number): Chords;
}

/** What a fit may measure along: the path, the path as seen from above, or the side of the section towards the bend or away from it. */
export type MeasuredAlong = 'path' | 'plan' | 'inner' | 'outer';

/** What a run's shape is to laying; `box` = the segment's. */
export function laidPathOf(shape: Shape, measures: MeasuredAlong, box: Box): LaidPath {
  const { table } = shape;
  const { length, closed, kinks, stations, frames } = table;
  const heightAt = (station: number) => frameOn(shape, station)[1];
  return {
    ...{ length, closed, heightAt },
    corners: shape.corners
      ? kinks.map(({ station, angle }) => ({ station, angle, is: ownAt(shape.corners!, station, length) }))
      : kinks,
    measure: measureOf(shape, measures, box),
    pointStations: Array.from(table.pointStations).toSorted((a, b) => a - b),
    chords: (from, to) => chordsOf(shape, from, to),
    stationAtHeight(height, from, to) {
      const isUp = height >= heightAt(from);
      const isThere = (y: number) => (isUp ? y >= height : y <= height);
      // The first sample that is there, then the place between it and the one before.
      let low = from;
      let high = to;
      for (let i = firstAfter(stations, from); i < stations.length && stations[i] < to; i++) {
        if (isThere(frames[i * FRAME_STRIDE + 1])) {
          high = stations[i]!;
          break;
        }
        low = stations[i]!;
      }
      if (!isThere(heightAt(high))) return to;
      for (let round = 0; round < 60 && high - low > length * 1e-15; round++) {
        const [a, b] = [heightAt(low), heightAt(high)];
        // Where it climbs evenly the first guess is the answer.
        const guess = round % 2 === 0 && b !== a ? low + ((high - low) * (height - a)) / (b - a) : (low + high) / 2;
        if (Math.abs(heightAt(guess) - height) <= Math.abs(height) * 1e-15) return guess;
        if (isThere(heightAt(guess))) high = guess;
        else low = guess;
      }
      return high;
    },
  };
}

/** What a point says of the corner at a station. */
const ownAt = (corners: readonly OwnCorner[], station: number, length: number): PointCorner | undefined =>
  corners.find((own) => Math.abs(own.station - station) <= length * NEAR)?.is;

/** Of a path: how near to a corner the point lies that makes it. */
const NEAR = 1e-7;

function measureOf(shape: Shape, measures: MeasuredAlong, box: Box): Measure {
  if (measures === 'path') return ALONG_THE_PATH;
  return measures === 'plan' ? buildPlanMeasure(shape.table) : buildSideMeasure(shape, box, measures);
}

/** A straight, level path of a length: for what is laid before there is one. */
export const plainPath = (length: number, closed: boolean): LaidPath => ({
  ...{ length, closed, measure: ALONG_THE_PATH, pointStations: [0, length], corners: [] },
  heightAt: () => 0,
  stationAtHeight: (_, from) => from,
  chords: straightChords,
});
