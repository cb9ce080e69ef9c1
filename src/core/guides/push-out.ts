import { insertAt } from '../curve/edit/insert-at';
import { movePoint } from '../curve/edit/move-point';
import { buildArcTable } from '../curve/arc-table';
import { compileCurve, curveKind, type CurveSpec } from '../curve/registry';
import type { RunJob } from '../bending/run-spec';
import type { CheckedGuide } from '../findings/finding';
import { buildFrameTable } from '../frames/build-frame-table';
import { resolveReach } from '../laying/lay';
import { add, scale, type Vec3 } from '../math/vec3';
import { farthestOf, tooNear } from './clearance';
import type { Surface } from './surface';

const MOST_STEPS = 120;
/** Farther than asked by so much of the section, and this many metres: what may lie between samples. */
const SPARE = 0.004;
const LEAST_SPARE = 0.0005;
/** Samples are this near to each other, as a share of the section. */
const FINENESS = 0.2;
const MOST_SAMPLES = 6000;
/** New points keep so many half widths from those that are there: nearer ones would fold the section. */
const APART = 2;
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
  const half = farthestOf(support);
  const wanted = (guide.clearance ?? 0) + Math.max(half * SPARE, LEAST_SPARE);
  let current = spec;
  for (let step = 0; step < MOST_STEPS; step++) {
    const compiled = compileCurve(current);
    if (!compiled.ok) return undefined;
    const arc = buildArcTable(compiled.value);
    const table = buildFrameTable(arc, job.bending.frames, { points: current.points, surface });
    const spacing = Math.min(Math.max(half * FINENESS, arc.length / MOST_SAMPLES), arc.length / 256);
    const asked = { table, support, job, reach: resolveReach(job.laying, table.length) };
    const found = tooNear(asked, guide, wanted, spacing).flat();
    if (found.length === 0) return current;
    const worst = found.reduce((a, b) => (b.gap < a.gap ? b : a));
    const { station, place } = worst;
    let i = nearestPoint(table.pointStations, station, table.length, half * APART);
    if (i === undefined) {
      if (current.points.length - spec.points.length >= MOST_NEW_POINTS) return undefined;
      const inserted = insertAt(current, station);
      if (!inserted) return undefined;
      [current, i] = [inserted.spec, inserted.point];
    }
    const isDown = job.bending.frames.rule === 'upright' && worst.away[1] < -DOWN;
    const aside = isDown ? sideways(guide.surface, place) : undefined;
    const away = aside?.away ?? worst.away;
    const lacking = aside ? aside.far + half + wanted : wanted - worst.gap;
    current = movePoint(current, i, add(current.points[i]!.position, scale(away, lacking * MARGIN + 1e-5)));
  }
  return undefined;
}

/** Ways out that point down more than this are none for a run that keeps upright: roads do not dive under what stands in their way. */
const DOWN = 0.5;
const WAYS = 16;

/** The shortest level way out of a guide; undefined where there is none. */
function sideways(surface: Surface, place: Vec3): { away: Vec3; far: number } | undefined {
  let best: { away: Vec3; far: number } | undefined;
  for (let k = 0; k < WAYS; k++) {
    const angle = (2 * Math.PI * k) / WAYS;
    const away: Vec3 = [Math.cos(angle), 0, Math.sin(angle)];
    const far = surface.hit(place, away)?.distance;
    if (far !== undefined && far < (best?.far ?? Infinity)) best = { away, far };
  }
  return best;
}

/** The point at a station, or near enough to it. */
function nearestPoint(stations: Float64Array, station: number, length: number, apart: number): number | undefined {
  let best = 0;
  stations.forEach((s, i) => {
    if (Math.abs(s - station) < Math.abs(stations[best]! - station)) best = i;
  });
  const neighbours = [stations[best - 1], stations[best + 1]].filter((s) => s !== undefined);
  const room = Math.min(...neighbours.map((s) => Math.abs(s - stations[best]!)), length);
  return Math.abs(stations[best]! - station) <= Math.max(room * NEAR_SHARE, apart) ? best : undefined;
}
