import type { EndManner, PathEnd } from '../../core/edit/end-leg';
import { extendOn, makeEndStraight } from '../../project/commands/paths';
import { plugEnd, releaseEnd } from '../../project/commands/plugs';
import type { Path, Project } from '../../project/schema';
import { useApp, useNotify } from '../state/app-context';

/** Said when a path of few numbers had to become one of points. */
export const HAS_HANDLES = 'The path has points with handles now, so that its end can be shaped.';

export const END_MANNERS: readonly { value: EndManner; label: string; hint: string }[] = [
  { value: 'ahead', label: 'Straight', hint: 'as it runs there' },
  { value: 'level', label: 'Level', hint: 'straight, and neither up nor down' },
  { value: 'plumb', label: 'Plumb', hint: 'straight up or down' },
];

/** Metres of an end of a path of this length, where nothing is said. */
export const endOver = (length: number): number => Number((length / 10).toPrecision(2)) || 1;

/** What can be done to the ends of a path. */
export function useEndActions() {
  const { document } = useApp();
  const notify = useNotify();
  const put = (path: Path, change: (project: Project) => Project | undefined, otherwise = '') => {
    const changed = change(document.getState().project);
    if (!changed) return notify(otherwise, { kind: 'warning' });
    document.getState().edit(() => changed);
    const now = changed.paths.find(({ id }) => id === path.id);
    if (now && now.curve.kind !== path.curve.kind) notify(HAS_HANDLES);
  };
  return {
    make: (path: Path, end: PathEnd, manner: EndManner, over: number) =>
      put(
        path,
        (project) => makeEndStraight(project, path.id, end, manner, over),
        'The path is too short for a straight end of that length. Take a shorter one.',
      ),
    extend: (path: Path, end: PathEnd, over: number) =>
      put(path, (project) => extendOn(project, path.id, end, over), 'The path needs two points before it can go on.'),
    plug: (path: Path, end: PathEnd, mouth: Parameters<typeof plugEnd>[3]) =>
      put(
        path,
        (project) => plugEnd(project, path.id, end, mouth),
        'The path needs two points before it can be plugged in.',
      ),
    letGo: (path: Path, end: PathEnd) => put(path, (project) => releaseEnd(project, path.id, end)),
  };
}
