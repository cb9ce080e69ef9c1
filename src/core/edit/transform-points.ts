import { add, rotate, sub, type Vec3 } from '../math/vec3';
import type { PathPoint } from '../curve/path-spec';
import { fieldValue } from '../curve/curve-kind';
import { curveKind, type CurveSpec } from '../curve/registry';
import { changeKind } from './change-kind';
import { releasedAround, withPartners } from './move-point';
import { placesOn, runsThrough } from './same-places';

/** What happens to places: a shift, then a turn about an axis through a middle, or a scale about it. Metres, radians. */
export type Transform =
  | { readonly kind: 'move'; readonly by: Vec3 }
  | { readonly kind: 'turn'; readonly about: Vec3; readonly axis: Vec3; readonly angle: number }
  | { readonly kind: 'scale'; readonly about: Vec3; readonly by: Vec3 };

/**
 * Moves, turns or scales some points of a path with their handles; radii grow with a scale. With all points chosen the whole path goes and
 * keeps its shape: one of few numbers that could not say so becomes points first.
 */
export function transformPoints(spec: CurveSpec, chosen: readonly number[], transform: Transform): CurveSpec {
  const isWhole = spec.points.length > 0 && chosen.length >= spec.points.length;
  if (isWhole && !survives(spec, transform)) {
    const mirrored = mirroredInKind(spec, transform);
    if (mirrored) return mirrored;
    const points = changeKind(spec, 'handles');
    return transformed(points, all(points), transform);
  }
  return transformed(spec, [...withPartners(spec, chosen)], transform);
}

/** Whether a path of few numbers is still what it was when its points are carried along. */
function survives(spec: CurveSpec, transform: Transform): boolean {
  const { group, turnsAbout } = curveKind(spec);
  if (group === 'points' || transform.kind === 'move') return true;
  if (transform.kind === 'turn') return turnsAbout?.(transform.axis) ?? true;
  return transform.by.every((factor) => Math.abs(factor - transform.by[0]) < 1e-12 && factor > 0);
}

/** A path of few numbers that is mirrored, as one of its own kind, where that kind can say so. */
function mirroredInKind(spec: CurveSpec, transform: Transform): CurveSpec | undefined {
  const isMirror = transform.kind === 'scale' && transform.by.every((factor) => Math.abs(factor) === 1);
  if (!isMirror) return undefined;
  const carried = transformed(spec, all(spec), transform);
  const { place } = carrying(transform);
  const mirrored = placesOn(spec).map(place);
  const tried = [carried, ...((curveKind(spec).mirrored?.(carried) ?? []) as readonly CurveSpec[])];
  return tried.find((own) => runsThrough(own, mirrored));
}

const all = ({ points }: CurveSpec): number[] => points.map((_, i) => i);

function transformed(spec: CurveSpec, chosen: readonly number[], transform: Transform): CurveSpec {
  const isChosen = new Set(chosen);
  const isWhole = isChosen.size >= spec.points.length;
  const free = isWhole ? spec : releasedAround(spec, isChosen);
  const { place, direction, factor } = carrying(transform);
  const isMirrored = transform.kind === 'scale' && transform.by[0] * transform.by[1] * transform.by[2] < 0;
  const points = free.points.map((point, i): PathPoint => {
    if (!isChosen.has(i)) return point;
    return {
      ...point,
      position: place(point.position),
      ...(point.handleIn && { handleIn: direction(point.handleIn) }),
      ...(point.handleOut && { handleOut: direction(point.handleOut) }),
      ...(point.radius !== undefined && { radius: point.radius * factor }),
      ...(isMirrored && point.roll !== undefined && { roll: -point.roll }),
    };
  });
  return {
    ...free,
    points,
    ...(isWhole && factor !== 1 && curveKind(spec).fields && { numbers: scaledNumbers(spec, factor) }),
  };
}

/** What a path does not say of a length is scaled too. */
const scaledNumbers = (spec: CurveSpec, factor: number): CurveSpec['numbers'] => ({
  ...spec.numbers,
  ...Object.fromEntries(
    (curveKind(spec).fields ?? []).flatMap((field) =>
      field.unit === 'm' ? [[field.key, fieldValue(spec, field) * factor]] : [],
    ),
  ),
});

function carrying(transform: Transform) {
  switch (transform.kind) {
    case 'move':
      return { place: (p: Vec3) => add(p, transform.by), direction: (v: Vec3) => v, factor: 1 };
    case 'turn': {
      const { about, axis, angle } = transform;
      const direction = (v: Vec3) => rotate(v, axis, angle);
      return { place: (p: Vec3) => add(about, direction(sub(p, about))), direction, factor: 1 };
    }
    case 'scale': {
      const { about, by } = transform;
      const direction = ([x, y, z]: Vec3): Vec3 => [x * by[0], y * by[1], z * by[2]];
      const factor = Math.cbrt(Math.abs(by[0] * by[1] * by[2]));
      return { place: (p: Vec3) => add(about, direction(sub(p, about))), direction, factor };
    }
  }
}

/** The whole path so many metres higher; it keeps its kind. */
export const raised = (spec: CurveSpec, by: number): CurveSpec =>
  by === 0 ? spec : transformPoints(spec, all(spec), { kind: 'move', by: [0, by, 0] });

/** The middle of some points' box. */
export function middleOf(spec: CurveSpec, chosen: readonly number[]): Vec3 {
  const places = chosen.flatMap((i) => (spec.points[i] ? [spec.points[i].position] : []));
  const at = (c: 0 | 1 | 2) => {
    const values = places.map((p) => p[c]);
    return (Math.min(...values) + Math.max(...values)) / 2;
  };
  return places.length > 0 ? [at(0), at(1), at(2)] : [0, 0, 0];
}
