'use client';

import ExpandMoreRounded from '@mui/icons-material/ExpandMoreRounded';
import { Box, Button, ListItemText, Menu, MenuItem } from '@mui/material';
import { useState } from 'react';
import { TIDIES } from '../../core/edit/tidy';
import { NumberField } from '../fields/NumberField';
import type { Tidy } from '../../core/edit/tidy/tidy';

/** Metres that points of a path of this length may be off, where nothing is said. */
export const toleranceFor = (length: number): number => Number((length / 500).toPrecision(1)) || 0.01;

/** What can be done to all points of a path at once. */
export function TidyMenu(props: { length: number; onChoose: (tidy: Tidy, tolerance: number) => void }) {
  const { length, onChoose } = props;
  const [asked, setWithin] = useState<number>();
  const within = asked ?? toleranceFor(length);
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
              onChoose(tidy, within);
            }}
          >
            <ListItemText primary={tidy.label} secondary={tidy.hint} />
          </MenuItem>
        ))}
        <Box sx={{ px: 4, pt: 1 }} onKeyDown={(event) => event.stopPropagation()}>
          <NumberField
            label="Tolerance"
            quantity="length"
            step={0.01}
            min={0}
            max={1000}
            value={within}
            onChange={setWithin}
          />
        </Box>
      </Menu>
    </>
  );
}
