'use client';

import { Box } from '@mui/material';
import type { Material } from '../../core/mesh/mesh';
import { toHex } from '../../core/segment/colour';

/** A short bar in the colour of a material; pale while it is not known. */
export function Swatch({ colour, width = 20 }: { colour: Material['colour'] | undefined; width?: number }) {
  return (
    <Box
      component="span"
      aria-hidden
      sx={{
        width,
        height: 6,
        borderRadius: '3px',
        bgcolor: colour ? toHex(colour) : 'var(--mui-palette-divider)',
        flexShrink: 0,
        border: '1px solid rgb(0 0 0 / 0.15)',
      }}
    />
  );
}
