import type { CurveSpec } from '../../core/curve/registry';
import { deviation } from '../../core/edit/deviation';
import { distance } from '../../core/math/vec3';
import { replaceCurve } from '../../project/commands/paths';
import type { Path } from '../../project/schema';
import { metres } from '../format';
import { useApp, useNotify } from '../state/app-context';

/** Less than this share of its length is no change of a path that anybody would want to be told of. */
const TOLD_SHARE = 1e-4;

/** Puts another curve in a path's place and says how far it runs from where it was. */
export function useReplaceCurve() {
  const { document, session, results } = useApp();
  const notify = useNotify();
  return (path: Path, changed: CurveSpec): void => {
    const before = path.curve as CurveSpec;
    const off = deviation(before, changed);
    const { point, set } = session.getState();
    const run = document.getState().project.runs.find((own) => own.path === path.id);
    const length = results.getState().results.get(run?.id ?? '')?.path.length ?? 0;
    document.getState().edit((project) => replaceCurve(project, path.id, changed));
    if (changed.points.length !== before.points.length) set({ point: samePoint(before, changed, point) });
    if (off !== undefined && off > length * TOLD_SHARE)
      notify(`The path now runs up to ${metres(off)} from where it was.`);
  };
}

/** The point of a changed path that lies nearest to the chosen one of before. */
function samePoint(before: CurveSpec, after: CurveSpec, i: number | undefined): number | undefined {
  const place = i === undefined ? undefined : before.points[i]?.position;
  if (!place) return undefined;
  const away = after.points.map(({ position }) => distance(position, place));
  return away.indexOf(Math.min(...away));
}
