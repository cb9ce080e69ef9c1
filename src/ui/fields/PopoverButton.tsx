'use client';

import ExpandMoreRounded from '@mui/icons-material/ExpandMoreRounded';
import { Button, IconButton, Popover, Tooltip } from '@mui/material';
import { useState, type MouseEvent, type ReactNode } from 'react';

export interface PopoverButtonProps {
  /** What it is for, as the opened part is called. */
  readonly name: string;
  /** What is set, in words; or a picture for what it is for. */
  readonly label: string | { readonly icon: ReactNode };
  readonly hint: string;
  /** Something is set there that is not otherwise. */
  readonly isMarked?: boolean;
  /** Told how to close it where a choice ends it. */
  readonly children: (close: () => void) => ReactNode;
}

/** A button that says what is set and opens what sets it. */
export function PopoverButton({ name, label, hint, isMarked = false, children }: PopoverButtonProps) {
  const [anchor, setAnchor] = useState<HTMLElement>();
  const open = {
    'aria-haspopup': 'dialog',
    onClick: (event: MouseEvent<HTMLElement>) => setAnchor(event.currentTarget),
    sx: {
      ...{ bgcolor: 'background.paper', pointerEvents: 'auto', border: '1px solid' },
      borderColor: isMarked ? 'primary.main' : 'divider',
      '&:hover': { bgcolor: 'background.paper', borderColor: 'text.secondary' },
    },
  } as const;
  return (
    <>
      <Tooltip describeChild title={hint}>
        {typeof label === 'string' ? (
          <Button color="secondary" aria-label={`${name}: ${label}`} endIcon={<ExpandMoreRounded />} {...open}>
            {label}
          </Button>
        ) : (
          <IconButton aria-label={name} {...open}>
            {label.icon}
          </IconButton>
        )}
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
