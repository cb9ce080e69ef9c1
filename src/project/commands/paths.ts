import { extendPath } from '../../core/curve/edit/extend';
import { insertAt } from '../../core/curve/edit/insert-at';
import { deletePoint as withoutPoint, movePoint as movedPoint } from '../../core/curve/edit/move-point';
import { reversePath } from '../../core/curve/edit/reverse';
import type { PathPoint } from '../../core/curve/path-spec';
import type { CurveSpec } from '../../core/curve/registry';
import type { Vec3 } from '../../core/math/vec3';
import type { Path, Project } from '../schema';

export const addPath = (project: Project, path: Path): Project => ({ ...project, paths: [...project.paths, path] });

/** The project with the curve of one path changed; the same project when nothing changed. */
export function changeCurve(project: Project, id: string, change: (curve: CurveSpec) => CurveSpec): Project {
  const path = project.paths.find((p) => p.id === id);
  if (!path) return project;
  const curve = change(path.curve as CurveSpec) as Path['curve'];
  if (curve === path.curve) return project;
  return { ...project, paths: project.paths.map((p) => (p.id === id ? { ...p, curve } : p)) };
}

export const setPoint = (project: Project, id: string, i: number, change: Partial<PathPoint>): Project =>
  changeCurve(project, id, (curve) => ({
    ...curve,
    points: curve.points.map((point, k) => (k === i ? { ...point, ...change } : point)),
  }));

export const movePoint = (project: Project, id: string, i: number, position: Vec3): Project =>
  changeCurve(project, id, (curve) => movedPoint(curve, i, position));

/**
 * Moves one handle of a point, relative to it; the other one turns with it and keeps its length, so that the path stays smooth.
 */
export function moveHandle(
  project: Project,
  id: string,
  i: number,
  which: 'handleIn' | 'handleOut',
  to: Vec3,
): Project {
  const other = which === 'handleIn' ? 'handleOut' : 'handleIn';
  return changeCurve(project, id, (curve) => {
    const point = curve.points[i]!;
    const l = Math.hypot(...to);
    const kept = point[other] ? Math.hypot(...point[other]) : l;
    const turned: Vec3 = l > 0 ? [(-to[0] / l) * kept, (-to[1] / l) * kept, (-to[2] / l) * kept] : to;
    const changed = { ...point, [which]: to, [other]: turned };
    return { ...curve, points: curve.points.map((p, k) => (k === i ? changed : p)) };
  });
}

/** Puts a point on the path at a station (metres) without changing its shape; says which it became. */
export function insertPoint(project: Project, id: string, station: number): { project: Project; point: number } {
  let point = -1;
  const changed = changeCurve(project, id, (curve) => {
    const inserted = insertAt(curve, station);
    point = inserted?.point ?? -1;
    return inserted?.spec ?? curve;
  });
  return { project: changed, point };
}

export const deletePoint = (project: Project, id: string, i: number): Project =>
  changeCurve(project, id, (curve) => withoutPoint(curve, i));

export const extend = (project: Project, id: string, end: 'start' | 'end', position: Vec3): Project =>
  changeCurve(project, id, (curve) => extendPath(curve, end, position));

export const reverse = (project: Project, id: string): Project => changeCurve(project, id, reversePath);

/** Sets one of the numbers that the path's kind asks for. */
export const setNumber = (project: Project, id: string, key: string, value: number): Project =>
  changeCurve(project, id, (curve) => ({ ...curve, numbers: { ...curve.numbers, [key]: value } }));

export const setClosed = (project: Project, id: string, closed: boolean): Project =>
  changeCurve(project, id, (curve) => ({ ...curve, closed }));
