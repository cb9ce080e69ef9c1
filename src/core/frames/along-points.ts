import { monotoneCubic } from '../math/monotone-cubic';
import { turnUp } from './double-reflection';
import { FLARE, FRAME_STRIDE, GAUGE } from './frame-table';

/** What points of a path may say of the run there. */
export interface PointValues {
  readonly roll?: number | undefined;
  readonly gauge?: number | undefined;
}

/**
 * Turns and thickens the samples as the path's points ask: values of those that have one, blended along arc length and level beyond the
 * first and the last of them. Gauge by its logarithm, so that it stays above zero and halves as evenly as it doubles.
 */
export function applyPointValues(
  frames: Float64Array,
  points: readonly PointValues[],
  pointStations: Float64Array,
  { intervals, step, closed }: { readonly intervals: number; readonly step: number; readonly closed: boolean },
): void {
  const { roll, gauge } = valuesAlong(points, pointStations, closed ? intervals * step : undefined);
  for (let i = 0; i <= intervals; i++) {
    const at = i * FRAME_STRIDE;
    if (roll) turnUp(frames, i, roll(i * step)[0]);
    frames[at + GAUGE] = 1;
    frames[at + FLARE] = 0;
    if (!gauge) continue;
    const [log, slope] = gauge(i * step);
    frames[at + GAUGE] = Math.exp(log);
    frames[at + FLARE] = Math.exp(log) * slope;
  }
}

/** Value and slope at a station; undefined where no point has any. */
type Along = ((station: number) => readonly [number, number]) | undefined;

/** What points say, blended along arc length: roll, and the logarithm of gauge. `period` = the length of a closed path. */
export function valuesAlong(
  points: readonly PointValues[],
  pointStations: Float64Array,
  period: number | undefined,
): { readonly roll: Along; readonly gauge: Along } {
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
