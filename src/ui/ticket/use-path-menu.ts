import { PATH_WRITERS, type PathWriter } from '../../formats/paths/registry';
import { mirrorPath } from '../../project/commands/mirror';
import { reverse, splitPath } from '../../project/commands/path-runs';
import { joinPath } from '../../project/commands/paths';
import { newId } from '../../project/new-id';
import type { Path, Project } from '../../project/schema';
import { saveFiles } from '../save-file';
import { useApp, useNotify } from '../state/app-context';
import type { RowMenuItem } from './RowMenu';

/** What can be done with a whole path: reversing, cutting, joining, files of it. */
export function usePathMenu() {
  const { document, session } = useApp();
  const notify = useNotify();
  const put = (changed: Project | undefined, otherwise = '') => {
    if (!changed) return notify(otherwise, { kind: 'warning' });
    document.getState().edit(() => changed);
    session.getState().set({ point: undefined });
  };
  const write = async ({ name, curve }: Path, writer: PathWriter) => {
    const written = await writer.write({ name, curve });
    if (written) saveFiles([written], written.name, 'application/octet-stream');
    else notify('The path is not a curve yet. Give it two points first.', { kind: 'warning' });
  };
  return (path: Path): readonly RowMenuItem[] => {
    const { project } = document.getState();
    const { point, set } = session.getState();
    const { closed } = path.curve;
    const others = project.paths.filter(({ id, curve }) => id !== path.id && !curve.closed && curve.points.length > 0);
    const noCut = 'There is nothing to cut here. Choose a point between the ends of a path through points.';
    return [
      { label: 'Reverse', hint: 'The same curve, run the other way', act: () => put(reverse(project, path.id)) },
      ...(['x', 'z'] as const).map((axis) => ({
        label: `Mirror along ${axis}`,
        hint: 'Left for right, about its middle',
        act: () => put(mirrorPath(project, path.id, axis)),
      })),
      {
        label: closed ? 'Open it at the chosen point' : 'Cut at the chosen point',
        hint: 'The runs along it continue on both parts',
        isOff: point === undefined,
        act: () => put(splitPath(project, path.id, point!, newId), noCut),
      },
      ...others.map(({ id, name }) => ({
        label: `Join with ${name.slice(0, 60)}`,
        hint: 'Where their ends lie nearest; the runs along that one go',
        isOff: closed,
        act: () => put(joinPath(project, path.id, id), 'These two paths cannot be joined.'),
      })),
      'line',
      { label: 'Bring a path', hint: 'SVG, DXF, CSV, GeoJSON, OBJ lines, GLB lines', act: () => set({ dialog: 'bringPath' }) }, // prettier-ignore
      ...PATH_WRITERS.map((writer) => ({
        label: `Write ${writer.label}`,
        hint: writer.hint,
        act: () => void write(path, writer),
      })),
    ];
  };
}
