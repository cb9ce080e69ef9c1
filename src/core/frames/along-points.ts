import { monotoneCubic } from '../math/monotone-cubic';
import { turnUp } from './double-reflection';
import { FLARE, FRAME_STRIDE, GAUGE, SIDE, TWIST } from './frame-table';

/** What points of a path may say of the run there. */
export interface PointValues {
  readonly roll?: number | undefined;
  readonly gauge?: number | undefined;
}

/** Value and slope at a station; undefined where no point has any. */
type Along = ((station: number) => readonly [number, number]) | undefined;

/** What points say, blended along arc length: roll, and the logarithm of gauge. */
export interface PointLanes {
  readonly roll: Along;
  readonly gauge: Along;
}

/**
 * Turns and thickens the samples as the path's points ask: values of those that have one, blended along arc length and level beyond the
 * first and the last of them. Gauge by its logarithm, so that it stays above zero and halves as evenly as it doubles.
 */
export function applyLanes(frames: Float64Array, stations: Float64Array, { roll, gauge }: PointLanes): void {
  for (let i = 0; i < stations.length; i++) {
    const at = i * FRAME_STRIDE;
    if (roll) {
      const [angle, slope] = roll(stations[i]!);
      turnUp(frames, i, angle);
      frames[at + SIDE] = frames[at + 4]! * frames[at + 8]! - frames[at + 5]! * frames[at + 7]!;
      frames[at + SIDE + 1] = frames[at + 5]! * frames[at + 6]! - frames[at + 3]! * frames[at + 8]!;
      frames[at + SIDE + 2] = frames[at + 3]! * frames[at + 7]! - frames[at + 4]! * frames[at + 6]!;
      frames[at + TWIST]! += slope;
    }
    if (!gauge) continue;
    const [log, slope] = gauge(stations[i]!);
    frames[at + GAUGE] = Math.exp(log);
    frames[at + FLARE] = Math.exp(log) * slope;
  }
}

/** Lanes of what points say. `period` = the length of a closed path. */
export function lanesOf(
  points: readonly PointValues[],
  pointStations: Float64Array,
  period: number | undefined,
): PointLanes {
  const along = (value: (point: PointValues) => number | undefined): Along => {
    const given = points.flatMap((point, i) => {
      const v = value(point);
      return v === undefined ? [] : [{ at: pointStations[i]!, v }];
    });
    // Points in one place, and wheels whose order along the belt is another: ascending and apart.
    given.sort((a, b) => a.at - b.at);
    const apart = given.filter(({ at }, i) => i === 0 || at - given[i - 1]!.at > 1e-9);
    if (apart.length === 0) return undefined;
    return monotoneCubic(
      apart.map(({ at }) => at),
      apart.map(({ v }) => v),
      period,
    );
  };
  return {
    roll: along(({ roll }) => roll),
    gauge: along(({ gauge }) => (gauge === undefined ? undefined : Math.log(gauge))),
  };
}

/** Radians of roll from one sample to the next at the most, and off a straight blend between two. */
const MOST_ROLL = 0.1;
const ROLL_OFF = 5e-5;
/** Off a straight blend between two samples, as a share of the gauge. */
const GAUGE_OFF = 1e-4;
const LOOKS = 8;

/** Intervals that a stretch of path needs for its lanes, so that blending between samples is as good as the lanes themselves. */
export function laneIntervals({ roll, gauge }: PointLanes, from: number, to: number): number {
  let needed = 0;
  const look = (to - from) / LOOKS;
  let before: readonly [number, number] = [0, 0];
  for (let k = 0; k <= LOOKS; k++) {
    const s = from + k * look;
    // From inside at either end: slopes may jump there.
    const inside = k === 0 ? s + look * 1e-6 : k === LOOKS ? s - look * 1e-6 : s;
    const [r, g] = [roll?.(inside)[1] ?? 0, gauge?.(inside)[1] ?? 0];
    const bend = (now: number, then: number) => (k > 0 ? Math.abs(now - then) / look : 0);
    needed = Math.max(
      needed,
      ((to - from) * Math.abs(r)) / MOST_ROLL,
      (to - from) * Math.sqrt(bend(r, before[0]) / (8 * ROLL_OFF)),
      (to - from) * Math.sqrt((g * g + bend(g, before[1])) / (8 * GAUGE_OFF)),
    );
    before = [r, g];
  }
  return needed;
}
