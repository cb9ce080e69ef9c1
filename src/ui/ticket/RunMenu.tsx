import { Divider, ListItemText, Menu, MenuItem } from '@mui/material';
import type { Run } from '../../project/schema';
import type { RunActions } from './use-run-actions';

export interface RunMenuProps {
  readonly run: Run;
  /** Pixels of the window. */
  readonly at: { readonly x: number; readonly y: number };
  readonly actions: RunActions;
  readonly onRename: () => void;
  readonly onClose: () => void;
}

/** What a right click on a run offers. */
export function RunMenu({ run, at, actions, onRename, onClose }: RunMenuProps) {
  const item = (primary: string, act: () => void, secondary?: string) => (
    <MenuItem
      dense
      onClick={() => {
        onClose();
        act();
      }}
    >
      <ListItemText primary={primary} secondary={secondary} />
    </MenuItem>
  );
  return (
    <Menu open onClose={onClose} anchorReference="anchorPosition" anchorPosition={{ left: at.x, top: at.y }}>
      {item('Rename', onRename, 'F2')}
      {item('Duplicate on the same path', () => actions.duplicate(run.id), 'Ctrl D')}
      {item('Duplicate with a path of its own', () => actions.duplicateOnOwnPath(run.id))}
      {item('Mirrored copy along x', () => actions.mirror(run.id, 'x'))}
      {item('Mirrored copy along z', () => actions.mirror(run.id, 'z'))}
      <Divider />
      {item(run.visible ? 'Hide' : 'Show', () => actions.show(run))}
      {item('Delete', () => actions.remove(run.id))}
    </Menu>
  );
}
