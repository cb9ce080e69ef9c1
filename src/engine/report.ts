import { FRAME_STRIDE, TWIST, type FrameTable } from '../core/frames/frame-table';
import { fillFrame } from '../core/frames/fill-frame';
import { turnBetween } from '../core/frames/double-reflection';
import { nearestTurn } from '../core/math/nearest-turn';
import type { CoursePlan } from '../core/motion/pose-course';
import { eachFrameOn, fillFrameOn, SHAPE_STRIDE } from '../core/shape/frame-on';
import type { Shape } from '../core/shape/shape';
import { tightest } from '../core/shape/tightest';
import type { PieceKind } from '../core/layout/placement';
import type { Finding } from '../core/findings/registry';
import type { DerivedRun } from './derived';

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
    readonly kind: PieceKind;
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

/** The report of one course of a run, under the name that it is baked under. */
export function buildReport(
  run: string,
  derived: DerivedRun,
  at: number,
  plan: CoursePlan,
  options: ReportOptions = {},
): RunReport {
  const { table } = derived;
  const { laid, shape } = derived.courses[at];
  const { reach } = shape;
  const tight = tightest(table, reach.from, reach.to);
  const isBent = Number.isFinite(tight.radius);
  const frame = new Float64Array(SHAPE_STRIDE);
  const ownRoll = { ...shape, lanes: shape.lanes.filter(({ goesWith }) => goesWith === 'run') };
  return {
    run,
    pathLength: table.length,
    planLength: table.planLength,
    tightestRadius: isBent ? tight.radius : null,
    tightestStation: isBent ? tight.station : null,
    placements: laid.layout.placements.map(({ piece, kind, station, length, natural, stretch, gap }) => ({
      ...{ piece, kind, station, naturalLength: natural, length, stretch },
      roll: fillFrameOn(frame, 0, ownRoll, station),
      gap,
    })),
    twist: twistOf(shape),
    vertices: plan.vertexCount,
    triangles: plan.pieces.reduce((sum, { form }) => sum + form.mesh.indices.length / 3, 0),
    findings: derived.findings(),
    ...(options.frames && { frames: listFrames(table, options.frames) }),
  };
}

/** Twist of the run beyond least twist over its reach. */
function twistOf(shape: Shape): RunReport['twist'] {
  const { from, to } = shape.reach;
  let [least, greatest, last, total] = [Infinity, -Infinity, from, 0];
  let rolled = 0;
  const roll = (station: number) =>
    shape.lanes.reduce((sum, { name, at }) => (name === 'roll' ? sum + at(station)[0] : sum), 0);
  const pair = new Float64Array(2 * FRAME_STRIDE);
  eachFrameOn(shape, from, to, (frame, station) => {
    least = Math.min(least, frame[TWIST]);
    greatest = Math.max(greatest, frame[TWIST]);
    pair.copyWithin(0, FRAME_STRIDE);
    pair.set(frame.subarray(0, FRAME_STRIDE), FRAME_STRIDE);
    const now = roll(station);
    // Between neighbouring frames up may turn by more than half: what lanes add is known, and only the rest is measured.
    if (station > last) total += now - rolled + nearestTurn(turnBetween(pair, 0, 1) - (now - rolled), 0);
    [last, rolled] = [station, now];
  });
  return { total, leastPerMetre: least, greatestPerMetre: greatest };
}

function listFrames(table: FrameTable, count: number): readonly ReportFrame[] {
  const out = new Float64Array(FRAME_STRIDE);
  return Array.from({ length: count }, (_, i) => {
    const station = count > 1 ? (table.length * i) / (count - 1) : 0;
    fillFrame(out, 0, table, station);
    const take = (at: number) => Array.from(out.subarray(at, at + 3));
    const curvature = Math.hypot(out[12], out[13], out[14]);
    return { station, position: take(0), forward: take(3), up: take(6), side: take(9), curvature };
  });
}
