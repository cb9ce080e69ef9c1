import { add, distance, normalize, scale, sub, type Vec3 } from '../math/vec3';
import { buildArcTable } from '../curve/arc-table';
import type { PathPoint } from '../curve/path-spec';
import { pointOn } from '../curve/legs';
import { pathLength } from '../curve/path-length';
import { compileCurve, curveKind, type CurveSpec } from '../curve/registry';
import { changeKind } from './change-kind';
import { extendAhead } from './end-leg';
import { insertAt } from './insert-at';
import { reversePath } from './reverse';
import { transformPoints } from './transform-points';

/** Where a path becomes longer or shorter: at one of its ends, or all over, about its start. */
export type LengthManner = 'end' | 'start' | 'scale';

/** A last leg is straight when it is longer than its chord by no more than this share. */
const STRAIGHT = 1e-9;

/**
 * The path `length` metres long. At an end it is cut off, or goes on straight; a kind of few numbers becomes points with handles for that.
 * Undefined where the path is no curve, or is closed and not to be scaled.
 */
export function setLength(spec: CurveSpec, length: number, manner: LengthManner): CurveSpec | undefined {
  if (manner === 'start') {
    const turned = setLength(reversePath(spec), length, 'end');
    return turned && reversePath(turned);
  }
  const compiled = compileCurve(spec);
  if (!compiled.ok || !(length > 0)) return undefined;
  const now = buildArcTable(compiled.value).length;
  if (Math.abs(length - now) < now * STRAIGHT) return spec;
  if (manner === 'scale') {
    const by = length / now;
    const all = spec.points.map((_, i) => i);
    return transformPoints(spec, all, { kind: 'scale', about: pointOn(compiled.value, 0), by: [by, by, by] });
  }
  if (compiled.value.closed) return undefined;
  const { group, uses } = curveKind(spec);
  // What it is after that is what counts: it follows the curve within a hundred-thousandth of the length only.
  const shaped = group === 'numbers' || uses.weight ? changeKind(spec, 'handles') : spec;
  const own = shaped === spec ? now : pathLength(shaped);
  if (own === undefined) return undefined;
  if (length < own) return cutOff(shaped, length);
  return movedOn(shaped, length - own) ?? extendAhead(shaped, 'end', length - own);
}

/** What lies beyond a station goes. */
function cutOff(spec: CurveSpec, station: number): CurveSpec | undefined {
  const inserted = insertAt(spec, station);
  if (!inserted) return undefined;
  const points = inserted.spec.points.slice(0, inserted.point + 1);
  // Within a leg that is kept straight what is left of it still is.
  const isKept = points[inserted.point - 1]?.kept && inserted.spec.points[inserted.point + 1]?.kept;
  if (isKept) points[inserted.point] = { ...points[inserted.point], kept: true };
  return { ...inserted.spec, points };
}

/** A straight last leg grows by itself; undefined where it is none. */
function movedOn(spec: CurveSpec, by: number): CurveSpec | undefined {
  const n = spec.points.length;
  const [before, last] = [spec.points[n - 2], spec.points[n - 1]];
  const chord = distance(before.position, last.position);
  if (chord === 0) return undefined;
  const { uses } = curveKind(spec);
  const along = normalize(sub(last.position, before.position));
  const isLegs = uses.radius && !uses.manners;
  if (!isLegs && !isLine(before, last, along, spec)) return undefined;
  const longer = (handle: Vec3 | undefined) => handle && scale(handle, (chord + by) / chord);
  const [out, into] = [longer(before.handleOut), longer(last.handleIn)];
  const position = add(last.position, scale(along, by));
  const moved = { ...last, position, ...(into && { handleIn: into }) };
  return { ...spec, points: [...spec.points.slice(0, n - 2), { ...before, ...(out && { handleOut: out }) }, moved] };
}

/** Whether handles keep the leg on the line between its points, or nothing else bends it. */
function isLine(before: PathPoint, last: PathPoint, along: Vec3, { points, kind }: CurveSpec): boolean {
  const lies = (handle: Vec3 | undefined, sign: number) =>
    handle !== undefined && distance(normalize(handle), scale(along, sign)) < 1e-9;
  const { mannerOf } = curveKind({ kind });
  const isHeld = [before, last].every((point) => mannerOf?.(point) === 'handles');
  return isHeld
    ? lies(before.handleOut, 1) && lies(last.handleIn, -1)
    : points.length === 2 || before.straight === true;
}
