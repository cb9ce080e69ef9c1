import { FRAME_STRIDE, TWIST, type FrameTable } from '../core/frames/frame-table';
import { fillFrame } from '../core/frames/fill-frame';
import { turnBetween } from '../core/frames/double-reflection';
import { eachFrame, tightest } from '../core/frames/tightness';
import type { Finding } from '../core/findings/finding';
import type { DerivedRun } from './derive';

/** Frames at a station, as the report lists them. Metres, unit vectors, 1/m. */
export interface ReportFrame {
  readonly station: number;
  readonly position: readonly number[];
  readonly forward: readonly number[];
  readonly up: readonly number[];
  readonly side: readonly number[];
  readonly curvature: number;
}

/** What there is to know of a run. Metres, radians, radians per metre; stretch is laid over natural length. */
export interface RunReport {
  readonly run: string;
  readonly pathLength: number;
  readonly planLength: number;
  /** null on a straight path. */
  readonly tightestRadius: number | null;
  readonly tightestStation: number | null;
  readonly placements: readonly {
    readonly piece: number;
    readonly kind: 'head' | 'body' | 'tail';
    readonly station: number;
    readonly naturalLength: number;
    readonly length: number;
    readonly stretch: number;
    readonly roll: number;
    readonly gap: number;
  }[];
  readonly twist: { readonly total: number; readonly leastPerMetre: number; readonly greatestPerMetre: number };
  readonly vertices: number;
  readonly triangles: number;
  readonly findings: readonly Finding[];
  readonly frames?: readonly ReportFrame[];
}

export interface ReportOptions {
  /** Number of frames evenly spaced by arc length; 0 = none. */
  readonly frames?: number;
}

export function buildReport(run: string, derived: DerivedRun, options: ReportOptions = {}): RunReport {
  const { table, plan, source, findings } = derived;
  const { laying, pieces, vertexCount } = plan;
  const { reach, natural } = laying;
  const { roll, turns } = source.job.bending;
  const rollPerMetre = (2 * Math.PI * turns) / (reach.to - reach.from);
  const tight = tightest(table, reach.from, reach.to);
  const isBent = Number.isFinite(tight.radius);
  const triangles = pieces.reduce((sum, { segment }) => sum + segment.mesh.indices.length / 3, 0);
  return {
    run,
    pathLength: table.length,
    planLength: table.planLength,
    tightestRadius: isBent ? tight.radius : null,
    tightestStation: isBent ? tight.station : null,
    placements: laying.placements.map(({ piece, kind, station, length, gap }) => ({
      piece,
      kind,
      station,
      naturalLength: kind === 'body' ? natural : length,
      length,
      stretch: kind === 'body' ? length / natural : 1,
      roll: roll + rollPerMetre * (station - reach.from),
      gap,
    })),
    twist: twistOf(table, rollPerMetre, reach),
    vertices: vertexCount,
    triangles,
    findings,
    ...(options.frames && { frames: listFrames(table, options.frames) }),
  };
}

/** Twist of the frames beyond least twist, with the run's own turns, over the reach. */
function twistOf(
  table: FrameTable,
  rollPerMetre: number,
  { from, to }: { from: number; to: number },
): RunReport['twist'] {
  let [least, greatest, last, total] = [Infinity, -Infinity, from, rollPerMetre * (to - from)];
  const pair = new Float64Array(2 * FRAME_STRIDE);
  eachFrame(table, from, to, (frames, at, station) => {
    const twist = frames[at + TWIST]! + rollPerMetre;
    least = Math.min(least, twist);
    greatest = Math.max(greatest, twist);
    pair.copyWithin(0, FRAME_STRIDE);
    pair.set(frames.subarray(at, at + FRAME_STRIDE), FRAME_STRIDE);
    if (station > last) total += turnBetween(pair, 0, 1);
    last = station;
  });
  return { total, leastPerMetre: least, greatestPerMetre: greatest };
}

function listFrames(table: FrameTable, count: number): readonly ReportFrame[] {
  const out = new Float64Array(FRAME_STRIDE);
  return Array.from({ length: count }, (_, i) => {
    const station = count > 1 ? (table.length * i) / (count - 1) : 0;
    fillFrame(out, 0, table, station);
    const take = (at: number) => Array.from(out.subarray(at, at + 3));
    const curvature = Math.hypot(out[12]!, out[13]!, out[14]!);
    return { station, position: take(0), forward: take(3), up: take(6), side: take(9), curvature };
  });
}
