import { climbEvenly, planLengthOf } from '../../core/edit/climb-evenly';
import type { CurveSpec } from '../../core/curve/registry';
import type { Project } from '../schema';
import { changeCurve } from './paths';

/** Metres up per metre along, as seen from above: risers of 180 mm on goings of 270 mm. */
const CLIMB = 180 / 270;

/** A path that was drawn level climbs, where something is laid along it by its rise. The very same project where there is nothing to do. */
export function raiseStairs(project: Project, path: string): Project {
  const curve = project.paths.find(({ id }) => id === path)?.curve as CurveSpec | undefined;
  const isStair = project.runs.some(
    (run) => run.path === path && run.courses.some(({ laying }) => laying.rule.kind === 'fromRise'),
  );
  const isLevel = curve?.points.every(({ position: [, y] }) => y === curve.points[0].position[1]);
  const length = isStair && isLevel ? planLengthOf(curve!) : undefined;
  return length === undefined ? project : changeCurve(project, path, (spec) => climbEvenly(spec, length * CLIMB));
}
