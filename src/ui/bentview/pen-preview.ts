import { buildArcTable } from '../../core/curve/arc-table';
import { extendPath } from '../../core/edit/extend';
import { compileCurve, type CurveSpec } from '../../core/curve/registry';
import { buildFrameTable } from '../../core/frames/build-frame-table';
import { FORWARD, FRAME_STRIDE } from '../../core/frames/frame-table';
import { tightest } from '../../core/shape/tightest';
import { add, cross, normalize, scale, type Vec3 } from '../../core/math/vec3';
import type { Box } from '../../core/mesh/box';

/** What the pen is about to draw. */
export interface PenPreview {
  /** The new part of the path, and what of it bends anew. */
  readonly line: readonly Vec3[];
  /** Corners of what a segment covers at the pointer. */
  readonly footprint: readonly Vec3[];
  /** Metres; the radius is the tightest of what bends anew, and `needed` what the segment's inner side asks for. */
  readonly leg: number;
  readonly total: number;
  readonly radius: number;
  readonly needed: number;
}

/** Longer paths are looked at from so many points before the pen on. */
const LOOKED_AT = 12;
/** A new point bends the legs between so many points before it anew. */
const BENT_ANEW = 2;
const SAMPLES = 96;

/** What a click at `to` would draw; `known` = the path's length now, metres, which a long path is not measured for anew. */
export function previewPen(
  spec: CurveSpec,
  end: 'start' | 'end',
  to: Vec3,
  { box, up, known }: { readonly box: Box; readonly up: Vec3; readonly known: number },
): PenPreview | undefined {
  const half = halfAcross(box);
  const n = spec.points.length;
  const near = n > LOOKED_AT ? part(spec, end) : spec;
  const drawn = compileCurve(extendPath(near, end, to));
  if (!drawn.ok) return undefined;
  const arc = buildArcTable(drawn.value);
  const table = buildFrameTable(arc, { rule: 'leastTwist', up }, { intervals: SAMPLES });
  const stations = table.pointStations;
  const leg = end === 'end' ? arc.length - stations[stations.length - 2] : stations[1];
  const bent = Math.min(BENT_ANEW + 1, stations.length - 1);
  const [from, upTo] = end === 'end' ? [stations[stations.length - 1 - bent], arc.length] : [0, stations[bent]];
  const total = near === spec ? arc.length : known + leg;
  const line: Vec3[] = [];
  table.stations.forEach((s, i) => {
    const at = i * FRAME_STRIDE;
    if (s >= from && s <= upTo) line.push([table.frames[at], table.frames[at + 1], table.frames[at + 2]]);
  });
  const at = (end === 'end' ? table.stations.length - 1 : 0) * FRAME_STRIDE + FORWARD;
  const outwards = scale([table.frames[at], table.frames[at + 1], table.frames[at + 2]], end === 'end' ? 1 : -1);
  const footprint = footprintAt(to, outwards, up, Math.min(box.max[0] - box.min[0], leg), half);
  return { line, footprint, leg, total, radius: tightest(table, from, upTo).radius, needed: half };
}

/** What a first click begins with: a segment from the pointer on, to the right. */
export const firstFootprint = (to: Vec3, box: Box): Vec3[] =>
  footprintAt(to, [-1, 0, 0], [0, 1, 0], box.max[0] - box.min[0], halfAcross(box));

/** How far a segment reaches to either side of the path, metres. */
const halfAcross = ({ min, max }: Box): number => Math.max(Math.abs(min[2]), Math.abs(max[2]));

/** The corners of what a segment covers that ends at `to`, going `outwards`. */
export function footprintAt(to: Vec3, outwards: Vec3, up: Vec3, length: number, half: number): Vec3[] {
  const side = scale(normalize(cross(outwards, up), [0, 0, 1]), half);
  const back = add(to, scale(outwards, -length));
  return [add(to, side), add(back, side), add(back, scale(side, -1)), add(to, scale(side, -1))];
}

/** The points beside an end, as an open path. */
const part = (spec: CurveSpec, end: 'start' | 'end'): CurveSpec => ({
  ...spec,
  closed: false,
  points: end === 'end' ? spec.points.slice(-LOOKED_AT) : spec.points.slice(0, LOOKED_AT),
});
