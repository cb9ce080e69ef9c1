import { Divider, ListItemText, Menu, MenuItem } from '@mui/material';

/** An entry of a menu, with what it does or its key under it, or a line between two groups of them. */
export type RowMenuItem =
  | { readonly label: string; readonly hint?: string; readonly act: () => void; readonly hotkey?: string; readonly isOff?: boolean } // prettier-ignore
  | 'line';

/** Pixels of the window. */
export interface MenuPlace {
  readonly x: number;
  readonly y: number;
}

/** What a right click on a row offers. */
export function RowMenu(props: { items: readonly RowMenuItem[]; place: MenuPlace; onClose: () => void }) {
  const { items, place, onClose } = props;
  return (
    <Menu open onClose={onClose} anchorReference="anchorPosition" anchorPosition={{ left: place.x, top: place.y }}>
      {items.map((item, i) =>
        item === 'line' ? (
          <Divider key={i} />
        ) : (
          <MenuItem
            key={i}
            dense
            disabled={item.isOff ?? false}
            onClick={() => {
              onClose();
              item.act();
            }}
          >
            <ListItemText primary={item.label} secondary={item.hint ?? item.hotkey} />
          </MenuItem>
        ),
      )}
    </Menu>
  );
}
