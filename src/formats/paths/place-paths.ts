import { legsAndArcs } from '../../core/edit/legs-and-arcs';
import { turnAt } from '../../core/curve/corners';
import { thinned } from '../../core/edit/tidy/thin-out';
import { MAX_PATH_POINTS, type PathPoint } from '../../core/curve/path-spec';
import type { OnProgress } from '../../core/math/progress';
import { dot, normalize, sub, type Vec3 } from '../../core/math/vec3';
import type { CurveSpec } from '../../core/curve/registry';
import type { BroughtPath } from './path-format';

export type DrawingPlane = 'ground' | 'front' | 'side';

/** How the file's coordinates become the scene's. */
export interface Placing {
  /** Metres per unit. */
  readonly unit: number;
  /** Where a flat drawing lies; for lines in space the axis that is up. */
  readonly plane: DrawingPlane;
  readonly up: 'y' | 'z';
  readonly isFlat: boolean;
  /** Straight legs are thinned out within so many metres; 0 = not. */
  readonly tolerance: number;
  /** Straight legs become what they are samples of: legs and arcs, or one flowing curve through their corners. */
  readonly isSmooth: boolean;
  /** Its start is moved to the origin; null = it stays. */
  readonly toOrigin: boolean;
}

/** A brought line as a path of the scene. */
export function placePath({ kind, closed, points }: BroughtPath, placing: Placing, onProgress?: OnProgress): CurveSpec {
  const axes = axesOf(placing);
  const carry = (v: Vec3): Vec3 => axes(v).map((c) => c * placing.unit) as unknown as Vec3;
  const origin: Vec3 = placing.toOrigin && points[0] ? carry(points[0].position) : [0, 0, 0];
  const placed = points.map((point): PathPoint => ({
    ...point,
    position: carry(point.position).map((c, k) => c - origin[k]) as unknown as Vec3,
    ...(point.handleIn && { handleIn: carry(point.handleIn) }),
    ...(point.handleOut && { handleOut: carry(point.handleOut) }),
  }));
  if (kind !== 'straight') return { kind, closed, points: placed };
  const drawn = placing.isSmooth && placed.length <= MOST_DRAWN ? legsAndArcs(placed, closed) : undefined;
  if (drawn) return drawn;
  const kept = fewEnough(placed, placing.tolerance, onProgress);
  return placing.isSmooth ? smoothOf(kept, closed) : { kind, closed, points: kept };
}

/** Longer lines are not looked at for legs and arcs: they are tracks, and it takes long. */
const MOST_DRAWN = 5000;

/** A smooth path; where it turns sharply it has a corner there, and is a mixed one. */
function smoothOf(points: readonly PathPoint[], closed: boolean): CurveSpec {
  const place = points.map(({ position }) => position);
  const isInner = (i: number) => closed || (i > 0 && i < points.length - 1);
  const sharp = points.map((_, i) => points.length > 2 && isInner(i) && turnAt(place, i) > SHARP);
  if (!sharp.includes(true)) return { kind: 'smooth', closed, points };
  return { kind: 'mixed', closed, points: points.map((point, i) => (sharp[i] ? { ...point, as: 'corner' } : point)) };
}

/** A turn of more than this, radians, at one point is a corner and no bend. */
const SHARP = (50 * Math.PI) / 180;

/** Whether corners look like samples of a curve: many, and most of them turn by little. */
export function looksSmooth({ kind, points }: BroughtPath): boolean {
  if (kind !== 'straight' || points.length < 12) return false;
  const directions = points.slice(1).map(({ position }, i) => normalize(sub(position, points[i].position), [0, 0, 0]));
  const gentle = directions.slice(1).filter((d, i) => dot(d, directions[i]) > GENTLE).length;
  return gentle > (directions.length - 1) * 0.9;
}

/** Cosine of 30°. */
const GENTLE = Math.cos(Math.PI / 6);

/** Thinned within the tolerance, and to as many as a path may have. */
function fewEnough(points: readonly PathPoint[], tolerance: number, onProgress?: OnProgress): readonly PathPoint[] {
  if (tolerance <= 0 && points.length <= MAX_PATH_POINTS) return points;
  return thinned(points, tolerance, { most: MAX_PATH_POINTS, onProgress });
}

/** x to the right and y up in a drawing: on the ground seen from above, or upright as the front and side views show it. */
function axesOf({ isFlat, plane, up }: Placing): (v: Vec3) => Vec3 {
  if (!isFlat) return up === 'z' ? ([x, y, z]) => [x, z, -y] : (v) => v;
  if (plane === 'ground') return ([x, y]) => [x, 0, -y];
  return plane === 'front' ? ([x, y]) => [x, y, 0] : ([x, y]) => [0, y, -x];
}
