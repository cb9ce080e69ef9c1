import { fillParams, stationOf, type ArcTable } from '../curve/arc-table';
import { followArc, touchedLegs, touchedStations, type TouchedLegs } from '../curve/follow-arc';
import type { Curve } from '../curve/curve';
import { normalize } from '../math/vec3';
import { KINK_ANGLE, STEEP_ANGLE } from '../math/tolerance';
import { fillSample, fillSides, fillTwist } from './build-frame-table';
import { angleFromUp, carryUp, setUp, turnUpBy } from './double-reflection';
import { fillFrame } from './fill-frame';
import { CURVATURE, FORWARD, FRAME_STRIDE, GAUGE, UP, type FrameTable } from './frame-table';
import type { FrameSpec } from './registry';

/** A curve measured and framed exactly: what edits of it can follow. */
export interface FrameBase {
  readonly arc: ArcTable;
  readonly table: FrameTable;
  readonly spec: FrameSpec;
  /** Curvature up to which its samples are near enough to each other, 1/m. */
  readonly sharpest: number;
}

export const frameBase = (arc: ArcTable, table: FrameTable, spec: FrameSpec): FrameBase => ({
  arc,
  table,
  spec,
  sharpest: sharpestOf(table),
});

/** More of the path than this is not followed but built anew. */
const MOST_TOUCHED = 0.25;

/**
 * The frame table of an edited curve; `known` = the legs that the edit touched, where that is known. Touched legs are sampled exactly;
 * frames of the others are taken from the table before, between whose samples they are blended, shifted along the path and, for least
 * twist, turned as one. Undefined where that would not be the same to within the table's tolerance: closed paths, corners, steep places, other rules, values of points, and edits of much of the path.
 */
export function followTable(
  { arc: before, table, spec, sharpest }: FrameBase,
  curve: Curve,
  known?: TouchedLegs,
): { arc: ArcTable; table: FrameTable } | undefined {
  const isLocal = (spec.rule === 'upright' || spec.rule === 'leastTwist') && !spec.ends;
  if (!isLocal || table.closed || table.kinks.length > 0 || table.steep.length > 0) return undefined;
  const touched = known ?? touchedLegs(before.curve, curve);
  if (!touched || touched.end - touched.first > (curve.breaks.length - 1) * MOST_TOUCHED) return undefined;
  if (hasCorner(curve, touched)) return undefined;
  const arc = followArc(before, curve, touched);
  const { from, oldTo, to } = touchedStations(before, arc, touched);
  const shift = to - oldTo;
  const { intervals } = table;
  const step = arc.length / intervals;
  const frames = new Float64Array((intervals + 1) * FRAME_STRIDE);
  const first = Math.min(Math.ceil(from / step), intervals);
  const isToEnd = touched.end === curve.breaks.length - 1;
  // The first sample beyond the touched legs.
  const last = isToEnd ? intervals + 1 : Math.min(Math.max(Math.ceil(to / step), first), intervals + 1);
  for (let i = 0; i < first; i++) fillFrame(frames, i * FRAME_STRIDE, table, i * step);
  for (let i = last; i <= intervals; i++) fillFrame(frames, i * FRAME_STRIDE, table, i * step - shift);
  if (!fillTouched(frames, arc, step, first, last, sharpest)) return undefined;
  if (!fillUps(frames, spec, first, last, intervals)) return undefined;
  fillSides(frames, intervals);
  fillTwist(frames, intervals, step, false);
  const pointStations = Float64Array.from(curve.pointParams, (u, i) => {
    const s = table.pointStations[i]!;
    return s <= from ? s : s >= oldTo ? s + shift : stationOf(arc, u);
  });
  const { length, planLength } = arc;
  return { arc, table: { ...table, step, frames, length, planLength, pointStations } };
}

/** Whether touched legs meet, or meet the others, in a corner. */
function hasCorner(curve: Curve, { first, end }: TouchedLegs): boolean {
  const v = new Float64Array(6);
  for (let i = Math.max(first, 1); i <= Math.min(end, curve.breaks.length - 2); i++) {
    curve.velocityAt(v, 0, curve.breaks[i]!, true);
    curve.velocityAt(v, 3, curve.breaks[i]!);
    const along = v[0]! * v[3]! + v[1]! * v[4]! + v[2]! * v[5]!;
    const both = Math.hypot(v[0]!, v[1]!, v[2]!) * Math.hypot(v[3]!, v[4]!, v[5]!);
    if (!(along > both * Math.cos(KINK_ANGLE))) return true;
  }
  return false;
}

/** Samples the touched legs; false where they bend more than any bend that the samples were spaced for. */
function fillTouched(
  frames: Float64Array,
  arc: ArcTable,
  step: number,
  first: number,
  last: number,
  most: number,
): boolean {
  const count = last - first;
  const stations = Float64Array.from({ length: count }, (_, k) => Math.min((first + k) * step, arc.length));
  const params = new Float64Array(count);
  fillParams(params, arc, stations);
  for (let k = 0; k < count; k++) {
    const at = (first + k) * FRAME_STRIDE;
    fillSample(frames, at, arc.curve, params[k]!);
    frames[at + GAUGE] = 1;
    if (curvatureOf(frames, at) > most) return false;
  }
  return true;
}

const curvatureOf = (frames: Float64Array, at: number): number =>
  Math.sqrt(frames[at + CURVATURE]! ** 2 + frames[at + CURVATURE + 1]! ** 2 + frames[at + CURVATURE + 2]! ** 2);

/** The sharpest bend of a table, and somewhat more. */
function sharpestOf({ frames, intervals, length }: FrameTable): number {
  let most = 2 / length;
  for (let i = 0; i <= intervals; i++) most = Math.max(most, curvatureOf(frames, i * FRAME_STRIDE));
  return most * SHARPER;
}

const SHARPER = 1.3;

/** Within so many times the steep angle the rule may have to spread what upright turns: such paths are built anew. */
const NEARLY_STEEP = 4;

function fillUps(frames: Float64Array, spec: FrameSpec, first: number, last: number, intervals: number): boolean {
  if (spec.rule === 'upright') {
    const up = normalize(spec.up, [0, 1, 0]);
    const limit = Math.cos(NEARLY_STEEP * STEEP_ANGLE);
    for (let i = first; i < last; i++) {
      const at = i * FRAME_STRIDE + FORWARD;
      if (Math.abs(frames[at]! * up[0] + frames[at + 1]! * up[1] + frames[at + 2]! * up[2]) > limit) return false;
      setUp(frames, i, ...up);
    }
    return true;
  }
  if (first === 0) return false; // the frame that all others follow from is itself touched
  for (let i = first; i < last; i++) carryUp(frames, i - 1, i);
  if (last > intervals) return true;
  const at = last * FRAME_STRIDE + UP;
  const [x, y, z] = [frames[at]!, frames[at + 1]!, frames[at + 2]!];
  carryUp(frames, last - 1, last);
  const angle = -angleFromUp(frames, last, x, y, z);
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  for (let i = last + 1; i <= intervals; i++) turnUpBy(frames, i, c, s);
  return true;
}
