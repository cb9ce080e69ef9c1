import type { Run } from '../../project/schema';
import { useKitActions } from '../kits/use-kit-actions';
import type { RowMenuItem } from './RowMenu';
import type { RunActions } from './use-run-actions';

/** What a right click on a run offers, wherever that is. */
export function useRunMenu(actions: RunActions) {
  const kits = useKitActions();
  return (run: Run): readonly RowMenuItem[] => {
    const { id, kit, folder, visible } = run;
    return [
      { label: 'Duplicate on the same path', act: () => actions.duplicate(id), hotkey: 'D' },
      { label: 'Duplicate with a path of its own', act: () => actions.duplicateOnOwnPath(id) },
      { label: 'Mirrored copy along x', act: () => actions.mirror(id, 'x') },
      { label: 'Mirrored copy along z', act: () => actions.mirror(id, 'z') },
      'line',
      { label: 'Keep as a kit', act: () => kits.keep(run) },
      ...(kit
        ? [
            { label: 'Change its kit to this', act: () => kits.changeFrom(run) },
            { label: 'Let go of its kit', act: () => actions.letGoOfKit(id) },
          ]
        : []),
      'line',
      { label: 'Put into a new folder', act: () => actions.group(id) },
      ...(folder === undefined ? [] : [{ label: 'Take out of its folder', act: () => actions.ungroup(id) }]),
      { label: visible ? 'Hide' : 'Show', act: () => actions.show(run) },
      { label: 'Delete', act: () => actions.remove(id) },
    ];
  };
}
