'use client';

import ExpandMoreRounded from '@mui/icons-material/ExpandMoreRounded';
import { Button, ListItemText, Menu, MenuItem } from '@mui/material';
import { useState } from 'react';
import { TIDIES } from '../../core/curve/tidy';
import type { Tidy } from '../../core/curve/tidy/tidy';

/** What can be done to all points of a path at once. */
export function TidyMenu({ onChoose }: { onChoose: (tidy: Tidy) => void }) {
  const [anchor, setAnchor] = useState<HTMLElement>();
  return (
    <>
      <Button
        variant="outlined"
        color="secondary"
        aria-haspopup="menu"
        endIcon={<ExpandMoreRounded />}
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        All points
      </Button>
      <Menu open={anchor !== undefined} anchorEl={anchor ?? null} onClose={() => setAnchor(undefined)}>
        {Object.values(TIDIES).map((tidy) => (
          <MenuItem
            key={tidy.label}
            onClick={() => {
              setAnchor(undefined);
              onChoose(tidy);
            }}
          >
            <ListItemText primary={tidy.label} secondary={tidy.hint} />
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}
