import { reversePath } from '../../core/edit/reverse';
import { splitAt } from '../../core/edit/split';
import { pathLength } from '../../core/curve/path-length';
import type { CurveSpec } from '../../core/curve/registry';
import { partOfShape, reversedShape } from '../../core/shape/part-of-shape';
import { resolveReach, type Reach } from '../../core/shape/reach';
import type { Path, Project, Run } from '../schema';
import { changeCurve } from './paths';
import { reversedMotions } from './motion';
import { reversedPlugs } from './plugs';

const lengthOf = (curve: CurveSpec): number => pathLength(curve) ?? 0;

/** There and back again is where it was. */
const toNanometres = (metres: number): number => Math.round(metres * 1e9) / 1e9;

type Meets = Run['reach']['meets'];

/** A run with another reach, whose ends meet what they are said to. */
const withReach = (run: Run, from: number | null, to: number | null, meets: Meets): Run => ({
  ...run,
  reach: { from, to, ...(meets && (meets.start !== undefined || meets.end !== undefined) && { meets }) },
});

const endOf = (end: 'start' | 'end', guide: string | undefined): Meets =>
  guide === undefined ? undefined : { [end]: guide };

/** A path run through the other way; what its runs reach of it stays where it is, and they move as they did. */
export function reverse(project: Project, id: string): Project {
  const path = project.paths.find((p) => p.id === id);
  if (!path) return project;
  const length = lengthOf(path.curve);
  const other = (station: number | null) => (station === null ? null : Math.max(toNanometres(length - station), 0));
  const turned = changeCurve(project, id, reversePath);
  const reached = {
    ...turned,
    paths: turned.paths.map((p) => (p.id === id ? reversedPlugs(p) : p)),
    runs: project.runs.map((run) => (run.path === id ? turnedRound(run, other, length) : run)),
  };
  return reversedMotions(reached, id, length);
}

/** A run along a path that is run through the other way, where and as it was. */
function turnedRound(run: Run, other: (station: number | null) => number | null, length: number): Run {
  const { from, to, meets } = run.reach;
  const met = { ...endOf('start', meets?.end), ...endOf('end', meets?.start) };
  return { ...withReach(run, other(to), other(from), met), shape: reversedShape(run.shape, length) };
}

/**
 * Cuts a path at point i. The second part becomes a path of its own (`newId` names it); runs go on along the part that they reach, as a copy
 * where they reach both. A closed path is opened there. Undefined where there is nothing to cut.
 */
export function splitPath(project: Project, id: string, i: number, newId: () => string): Project | undefined {
  const path = project.paths.find((p) => p.id === id);
  const parts = path && splitAt(path.curve, i);
  if (!parts) return undefined;
  const first = changeCurve(project, id, () => parts[0]);
  if (!parts[1]) return first;
  const second = newId();
  const cutAt = lengthOf(parts[0]);
  const length = lengthOf(path.curve);
  const copies: Run[] = [];
  const runs = first.runs.map((run) => {
    if (run.path !== id) return run;
    const { from, to, meets } = run.reach;
    const whole = resolveReach(run.reach, length);
    const lying = (part: Reach, start: number) => ({ shape: partOfShape(run.shape, whole, part, start) });
    if (to !== null && to <= cutAt) return run;
    const beyond = withReach(
      { ...run, path: second, ...lying({ from: Math.max(whole.from, cutAt), to: whole.to }, cutAt) },
      from !== null && from > cutAt ? toNanometres(from - cutAt) : null,
      to === null ? null : toNanometres(to - cutAt),
      from !== null && from >= cutAt ? meets : endOf('end', meets?.end),
    );
    if (from !== null && from >= cutAt) return beyond;
    copies.push({ ...beyond, id: newId(), name: `${run.name.slice(0, 190)}, part 2` });
    return withReach(
      { ...run, ...lying({ from: whole.from, to: cutAt }, 0) },
      from,
      null,
      endOf('start', meets?.start),
    );
  });
  const cut = { id: second, name: `${path.name.slice(0, 190)}, part 2`, curve: parts[1] as Path['curve'] };
  return { ...first, paths: [...first.paths, cut], runs: [...runs, ...copies] };
}
