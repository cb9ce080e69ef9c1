'use client';

import { Divider, ListSubheader, Menu, MenuItem } from '@mui/material';
import { MAKERS } from '../../core/segment/registry';
import { useRun } from '../state/app-context';
import { useNewRun } from '../state/use-new-run';

/** What a new run is made of, and which path it follows. */
export function NewRunMenu({ anchor, onClose }: { anchor: HTMLElement; onClose: () => void }) {
  const { addMade } = useNewRun();
  const current = useRun();
  const item = (kind: (typeof MAKERS)[number]['kind'], label: string, alongPath?: string) => (
    <MenuItem
      key={`${kind}${alongPath ?? ''}`}
      dense
      onClick={() => {
        addMade(kind, alongPath);
        onClose();
      }}
    >
      {label}
    </MenuItem>
  );
  return (
    <Menu open anchorEl={anchor} onClose={onClose}>
      <ListSubheader sx={{ lineHeight: '28px', fontSize: 12 }}>On a path of its own, drawn with the pen</ListSubheader>
      {MAKERS.map(({ kind, label }) => item(kind, label))}
      {current && <Divider />}
      {current && (
        <ListSubheader sx={{ lineHeight: '28px', fontSize: 12 }}>Along the path of {current.name}</ListSubheader>
      )}
      {current && MAKERS.map(({ kind, label }) => item(kind, label, current.path))}
    </Menu>
  );
}
