'use client';

import { Box } from '@mui/material';
import { toHex } from '../../core/segment/colour';
import type { RunResult } from '../state/results-store';

/** A short bar in the colour of the run's first material. */
export function RunSwatch({ result }: { result: RunResult | undefined }) {
  const colour = result?.courses[0].surface.materials[0]?.colour;
  const css = colour ? toHex(colour) : 'var(--mui-palette-divider)';
  return (
    <Box
      component="span"
      aria-hidden
      sx={{
        width: 20,
        height: 6,
        borderRadius: '3px',
        bgcolor: css,
        flexShrink: 0,
        border: '1px solid rgb(0 0 0 / 0.15)',
      }}
    />
  );
}
