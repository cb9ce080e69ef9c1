import { insertAt } from '../curve/edit/insert-at';
import { movePoint } from '../curve/edit/move-point';
import { buildArcTable } from '../curve/arc-table';
import { compileCurve, curveKind, type CurveSpec } from '../curve/registry';
import type { RunJob } from '../bending/run-spec';
import type { CheckedGuide } from '../findings/finding';
import { buildFrameTable } from '../frames/build-frame-table';
import { resolveReach } from '../laying/lay';
import { add, scale } from '../math/vec3';
import { tooNear } from './clearance';
import type { Surface } from './surface';

const MOST_STEPS = 120;
const MOST_NEW_POINTS = 24;
/** A point goes a little farther than is just enough, so that the curve between points is clear too. */
const MARGIN = 1.04;
/** A point this near to the trouble is moved itself, as a share of the distance to its neighbour; elsewhere one is put in. */
const NEAR_SHARE = 0.3;

export interface PushInput {
  readonly job: RunJob;
  readonly support: Float64Array;
  readonly guide: CheckedGuide;
  /** The guide that the run sits on. */
  readonly surface?: Surface | undefined;
}

/**
 * The path pushed out of a guide until its run keeps clear of it: at the worst place the nearest point, or a new one there, goes out by what
 * is lacking, again and again. Undefined where that does not get there, or the path is made of few numbers.
 */
export function pushOut(spec: CurveSpec, { job, support, guide, surface }: PushInput): CurveSpec | undefined {
  if (curveKind(spec).group === 'numbers') return undefined;
  const wanted = guide.clearance ?? 0;
  let current = spec;
  for (let step = 0; step < MOST_STEPS; step++) {
    const compiled = compileCurve(current);
    if (!compiled.ok) return undefined;
    const table = buildFrameTable(buildArcTable(compiled.value), job.bending.frames, {
      points: current.points,
      surface,
    });
    const found = tooNear({ table, support, job, reach: resolveReach(job.laying, table.length) }, guide, wanted);
    if (found.length === 0) return current;
    const worst = found.reduce((a, b) => (b.gap < a.gap ? b : a));
    const station = worst.sample * table.step;
    let i = nearestPoint(table.pointStations, station, table.length);
    if (i === undefined) {
      if (current.points.length - spec.points.length >= MOST_NEW_POINTS) return undefined;
      const inserted = insertAt(current, station);
      if (!inserted) return undefined;
      [current, i] = [inserted.spec, inserted.point];
    }
    const by = (wanted - worst.gap) * MARGIN + 1e-5;
    current = movePoint(current, i, add(current.points[i]!.position, scale(worst.away, by)));
  }
  return undefined;
}

/** The point at a station, or near enough to it. */
function nearestPoint(stations: Float64Array, station: number, length: number): number | undefined {
  let best = 0;
  stations.forEach((s, i) => {
    if (Math.abs(s - station) < Math.abs(stations[best]! - station)) best = i;
  });
  const neighbours = [stations[best - 1], stations[best + 1]].filter((s) => s !== undefined);
  const room = Math.min(...neighbours.map((s) => Math.abs(s - stations[best]!)), length);
  return Math.abs(stations[best]! - station) <= room * NEAR_SHARE ? best : undefined;
}
