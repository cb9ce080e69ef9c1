import { extendAhead, straightEnd, type EndManner, type PathEnd } from '../../core/edit/end-leg';
import { extendPath } from '../../core/edit/extend';
import { insertAt } from '../../core/edit/insert-at';
import { joinPaths } from '../../core/edit/join';
import { deletePoints as withoutPoints, movePoint as movedPoint } from '../../core/edit/move-point';
import { transformPoints, type Transform } from '../../core/edit/transform-points';
import { fitsPath, type PathPoint } from '../../core/curve/path-spec';
import { curveKind, type CurveSpec } from '../../core/curve/registry';
import { dot, normalize, scale, type Vec3 } from '../../core/math/vec3';
import { laysSegment, type Path, type Project } from '../schema';
import { setStep } from './runs';
import { withoutLostWaits } from './waits';

export const addPath = (project: Project, path: Path): Project => ({ ...project, paths: [...project.paths, path] });

/** The project with the curve of one path changed; the same project when nothing changed, or no path may have such points. */
export function changeCurve(project: Project, id: string, change: (curve: CurveSpec) => CurveSpec): Project {
  const path = project.paths.find((p) => p.id === id);
  if (!path) return project;
  const curve = change(path.curve) as Path['curve'];
  if (curve === path.curve || !fitsPath(curve.points)) return project;
  return { ...project, paths: project.paths.map((p) => (p.id === id ? { ...p, curve } : p)) };
}

export const setPoint = (project: Project, id: string, i: number, change: Partial<PathPoint>): Project =>
  changeCurve(project, id, (curve) => ({
    ...curve,
    points: curve.points.map((point, k) => (k === i ? { ...point, ...change } : point)),
  }));

export const movePoint = (project: Project, id: string, i: number, position: Vec3): Project =>
  changeCurve(project, id, (curve) => movedPoint(curve, i, position));

/** Moves, turns or scales the chosen points with their handles. */
export const transform = (project: Project, id: string, chosen: readonly number[], by: Transform): Project =>
  changeCurve(project, id, (curve) => transformPoints(curve, chosen, by));

/**
 * Moves one handle of a point, relative to it; the other one turns with it and keeps its length, so that the path stays smooth, unless
 * the two are broken.
 */
export function moveHandle(
  project: Project,
  id: string,
  i: number,
  which: 'handleIn' | 'handleOut',
  asked: Vec3,
): Project {
  const other = which === 'handleIn' ? 'handleOut' : 'handleIn';
  return changeCurve(project, id, (curve) => {
    const point = curve.points[i];
    const to = point.kept ? alongOwn(point[which], asked) : asked;
    const l = Math.hypot(...to);
    const kept = point[other] ? Math.hypot(...point[other]) : l;
    const turned: Vec3 = l > 0 ? [(-to[0] / l) * kept, (-to[1] / l) * kept, (-to[2] / l) * kept] : to;
    const changed = point.broken ? { ...point, [which]: to } : { ...point, [which]: to, [other]: turned };
    return { ...curve, points: curve.points.map((p, k) => (k === i ? changed : p)) };
  });
}

/** As far along a handle as asked for: those of an end that is kept straight keep their direction. */
function alongOwn(handle: Vec3 | undefined, asked: Vec3): Vec3 {
  if (!handle) return asked;
  const way = normalize(handle);
  return scale(way, Math.max(dot(asked, way), 0));
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

export const deletePoints = (project: Project, id: string, chosen: readonly number[]): Project =>
  changeCurve(project, id, (curve) => withoutPoints(curve, chosen));

/** Puts points in after point `after` (-1 = before the first). */
export const pastePoints = (project: Project, id: string, after: number, points: readonly PathPoint[]): Project =>
  changeCurve(project, id, (curve) => ({
    ...curve,
    points: [...curve.points.slice(0, after + 1), ...points, ...curve.points.slice(after + 1)],
  }));

/** Makes an end straight; undefined where the path is too short for it. */
export const makeEndStraight = (
  project: Project,
  id: string,
  end: PathEnd,
  manner: EndManner,
  length: number,
): Project | undefined => changedOr(project, id, (curve) => straightEnd(curve, end, manner, length));

/** Makes a path longer at an end, straight on. */
export const extendOn = (project: Project, id: string, end: PathEnd, length: number): Project | undefined =>
  changedOr(project, id, (curve) => extendAhead(curve, end, length));

function changedOr(project: Project, id: string, change: (curve: CurveSpec) => CurveSpec | undefined) {
  const changed = changeCurve(project, id, (curve) => change(curve) ?? curve);
  return changed === project ? undefined : changed;
}

/** Joins another path to this one; the runs that followed it go, for this path's runs go on there. */
export function joinPath(project: Project, id: string, otherId: string): Project | undefined {
  const other = project.paths.find((p) => p.id === otherId);
  const joined = other && changedOr(project, id, (curve) => joinPaths(curve, other.curve));
  if (!joined) return undefined;
  const runs = joined.runs.filter((run) => run.path !== otherId);
  return withoutLostWaits({
    ...joined,
    paths: joined.paths.filter((p) => p.id !== otherId),
    runs,
    segments: joined.segments.filter(({ id: segment }) => runs.some((run) => laysSegment(run, segment))),
  });
}

export const extend = (project: Project, id: string, end: 'start' | 'end', position: Vec3): Project =>
  changeCurve(project, id, (curve) => extendPath(curve, end, position));

/** Another curve for a path. Runs along one that always goes round have their outside out, until a rule is chosen for them. */
export function replaceCurve(project: Project, id: string, curve: CurveSpec): Project {
  const isLoop = (spec: CurveSpec | undefined) => spec !== undefined && curveKind(spec).alwaysClosed === true;
  const before = project.paths.find((p) => p.id === id)?.curve as CurveSpec | undefined;
  const changed = changeCurve(project, id, () => curve);
  if (isLoop(before) === isLoop(curve)) return changed;
  const [from, to] = isLoop(curve) ? (['upright', 'faceOut'] as const) : (['faceOut', 'upright'] as const);
  return changed.runs.reduce((all, run) => {
    if (run.path !== id || run.shape.frames.rule !== from) return all;
    return setStep(all, run.id, 'shape', { frames: { ...run.shape.frames, rule: to } });
  }, changed);
}

/** Sets one of the numbers that the path's kind asks for. */
export const setNumber = (project: Project, id: string, key: string, value: number): Project =>
  changeCurve(project, id, (curve) => ({ ...curve, numbers: { ...curve.numbers, [key]: value } }));

export const setClosed = (project: Project, id: string, closed: boolean): Project =>
  changeCurve(project, id, (curve) => ({ ...curve, closed }));
