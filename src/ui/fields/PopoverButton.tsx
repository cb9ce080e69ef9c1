'use client';

import ExpandMoreRounded from '@mui/icons-material/ExpandMoreRounded';
import { Button, Popover, Tooltip } from '@mui/material';
import { useState, type ReactNode } from 'react';

export interface PopoverButtonProps {
  /** What it is for, as the opened part is called. */
  readonly name: string;
  /** What is set. */
  readonly label: string;
  readonly hint: string;
  /** Told how to close it where a choice ends it. */
  readonly children: (close: () => void) => ReactNode;
}

/** A button that says what is set and opens what sets it. */
export function PopoverButton({ name, label, hint, children }: PopoverButtonProps) {
  const [anchor, setAnchor] = useState<HTMLElement>();
  return (
    <>
      <Tooltip describeChild title={hint}>
        <Button
          color="secondary"
          aria-haspopup="dialog"
          aria-label={`${name}: ${label}`}
          endIcon={<ExpandMoreRounded />}
          onClick={(event) => setAnchor(event.currentTarget)}
          sx={{
            ...{ bgcolor: 'background.paper', pointerEvents: 'auto', border: '1px solid', borderColor: 'divider' },
            '&:hover': { bgcolor: 'background.paper', borderColor: 'text.secondary' },
          }}
        >
          {label}
        </Button>
      </Tooltip>
      <Popover
        open={anchor !== undefined}
        anchorEl={anchor ?? null}
        onClose={() => setAnchor(undefined)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
        slotProps={{
          paper: { role: 'dialog', 'aria-label': name, sx: { width: 316, maxHeight: '72vh', p: 4, mt: 1 } },
        }}
      >
        {children(() => setAnchor(undefined))}
      </Popover>
    </>
  );
}
