import { insertAt } from '../edit/insert-at';
import { movePoint } from '../edit/move-point';
import { buildArcTable } from '../curve/arc-table';
import { compileCurve, curveKind, type CurveSpec } from '../curve/registry';
import type { RunSteps } from '../motion/run-spec';
import { buildFrameTable } from '../frames/build-frame-table';
import { fillFrame } from '../frames/fill-frame';
import { FORWARD, FRAME_STRIDE, type FrameTable } from '../frames/frame-table';
import { resolveReach } from '../shape/reach';
import { add, dot, length, normalize, scale, type Vec3 } from '../math/vec3';
import { buildShape } from '../shape/shape';
import { farthestOf, tooNear, type CheckedGuide, type Clearance } from './clearance';
import type { Surface } from '../mesh/surface';

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

/** Which way a path leaves a guide: the shortest, to a side on the level, or over it. */
export type PushManner = 'nearest' | 'sideways' | 'over';

export interface PushInput {
  readonly manner?: PushManner;
  /** Ends that stay where they are. */
  readonly fixed?: { readonly start?: boolean; readonly end?: boolean };
  /** Metres: nothing is pushed below this, unless it lies there already. */
  readonly floor?: number;
  /** What the run is along its path. */
  readonly job: Pick<RunSteps, 'reach' | 'shape'>;
  readonly support: Float64Array;
  readonly guide: CheckedGuide;
  /** The guide that the run sits on. */
  readonly surface?: Surface | undefined;
}

/**
 * The path pushed out of a guide until its run keeps clear of it: at the worst place the nearest point, or a new one there, goes out by what
 * is lacking, again and again. Undefined where that does not get there, or the path is made of few numbers.
 */
export function pushOut(spec: CurveSpec, input: PushInput): CurveSpec | undefined {
  const { job, support, guide, surface, manner = 'nearest', fixed = {}, floor = -Infinity } = input;
  if (curveKind(spec).group === 'numbers') return undefined;
  const half = farthestOf(support);
  const wanted = (guide.clearance ?? 0) + Math.max(half * SPARE, LEAST_SPARE);
  let current = spec;
  for (let step = 0; step < MOST_STEPS; step++) {
    const compiled = compileCurve(current);
    if (!compiled.ok) return undefined;
    const arc = buildArcTable(compiled.value);
    const table = buildFrameTable(arc, job.shape.frames, { surface });
    const spacing = Math.min(Math.max(half * FINENESS, arc.length / MOST_SAMPLES), arc.length / 256);
    const reach = resolveReach(job.reach, table.length);
    const shape = buildShape(table, job.shape, { reach, points: current.points });
    const found = tooNear({ shape, support }, guide, wanted, spacing).flat();
    if (found.length === 0) return current;
    const worst = found.reduce((a, b) => (b.gap < a.gap ? b : a));
    const { station } = worst;
    let i = nearestPoint(table.pointStations, station, table.length, half * APART);
    const isFixed = (i === 0 && fixed.start) || (i === current.points.length - 1 && fixed.end);
    if (i === undefined || isFixed) {
      if (current.points.length - spec.points.length >= MOST_NEW_POINTS) return undefined;
      const inserted = insertAt(current, station);
      if (!inserted) return undefined;
      [current, i] = [inserted.spec, inserted.point];
    }
    const by = wayOut(manner, worst, { forward: forwardAt(table, station), wanted, half, guide, job });
    const from = current.points[i].position;
    const [x, y, z] = add(from, scale(by, MARGIN + 1e-5 / length(by)));
    current = movePoint(current, i, [x, Math.max(y, Math.min(floor, from[1])), z]);
  }
  return undefined;
}

interface Place {
  readonly forward: Vec3;
  readonly wanted: number;
  readonly half: number;
  readonly guide: CheckedGuide;
  readonly job: PushInput['job'];
}

function wayOut(manner: PushManner, worst: Clearance, { forward, wanted, half, guide, job }: Place): Vec3 {
  const nearest = scale(worst.away, wanted - worst.gap);
  if (manner === 'over') {
    if (worst.away[1] > LEVEL) return nearest;
    const top = guide.surface.hit(worst.place, [0, 1, 0])?.distance;
    return [0, top === undefined ? half + wanted : top + half + wanted, 0];
  }
  const isDown = job.shape.frames.rule === 'upright' && worst.away[1] < 0;
  if (manner === 'nearest' && !isDown) return nearest;
  return levelWay(worst, forward, wanted, half, guide.surface) ?? nearest;
}

/** Ways out of which less than this goes aside are none for a run that keeps upright: roads do not dive under what stands in their way. */
const LEVEL = 0.6;
const BESIDE = 1e-3;
const WAYS = 16;
/** Cosine to the path beyond which a way leads along it, and not out. */
const ALONG = 0.6;

/** Out of a guide on the level: as the way out goes, without its fall, or the shortest one sideways where that goes down above all. */
function levelWay(
  { away, gap, place }: Clearance,
  forward: Vec3,
  wanted: number,
  half: number,
  surface: Surface,
): Vec3 | undefined {
  // Across the path: along it nothing gets out.
  const ahead = normalize([forward[0], 0, forward[2]], [0, 0, 0]);
  const along = away[0] * ahead[0] + away[2] * ahead[2];
  const flat: Vec3 = [away[0] - along * ahead[0], 0, away[2] - along * ahead[2]];
  const share = length(flat);
  if (share >= LEVEL) return scale(flat, (wanted - gap) / (share * share));
  // Beyond the edge of what hangs over it already: on by what the section itself needs.
  if (share > BESIDE) return scale(flat, (half + wanted) / share);
  // What hangs over the path is not beside it, but beside the top of the run.
  const aside = sideways(surface, place, forward) ?? sideways(surface, add(place, [0, half + wanted, 0]), forward);
  return aside && scale(aside.away, aside.far + half + wanted);
}

function forwardAt(table: FrameTable, station: number): Vec3 {
  const frame = new Float64Array(FRAME_STRIDE);
  fillFrame(frame, 0, table, station);
  return [frame[FORWARD], frame[FORWARD + 1], frame[FORWARD + 2]];
}

/** The shortest level way out of a guide that leads across the path; undefined where there is none. */
function sideways(surface: Surface, place: Vec3, forward: Vec3): { away: Vec3; far: number } | undefined {
  let best: { away: Vec3; far: number } | undefined;
  for (let k = 0; k < WAYS; k++) {
    const angle = (2 * Math.PI * k) / WAYS;
    const away: Vec3 = [Math.cos(angle), 0, Math.sin(angle)];
    if (Math.abs(dot(away, forward)) > ALONG) continue;
    const far = surface.hit(place, away)?.distance;
    if (far !== undefined && far < (best?.far ?? Infinity)) best = { away, far };
  }
  return best;
}

/** The point at a station, or near enough to it. */
function nearestPoint(stations: Float64Array, station: number, length: number, apart: number): number | undefined {
  let best = 0;
  stations.forEach((s, i) => {
    if (Math.abs(s - station) < Math.abs(stations[best] - station)) best = i;
  });
  const neighbours = [stations[best - 1], stations[best + 1]].filter((s) => s !== undefined);
  const room = Math.min(...neighbours.map((s) => Math.abs(s - stations[best])), length);
  return Math.abs(stations[best] - station) <= Math.max(room * NEAR_SHARE, apart) ? best : undefined;
}
