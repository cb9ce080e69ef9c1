'use client';

import { Box } from '@mui/material';
import { toHex } from '../../core/segment/colour';
import type { CourseResult } from '../state/results-store';

/** A short bar in the colour that a course wears first; pale while it is not known. */
export function Swatch({ course, width = 20 }: { course: CourseResult | undefined; width?: number }) {
  const worn = (course?.repeated[0]?.parts ?? course?.topology.parts)?.[0]?.material ?? 0;
  const colour = course?.surface.materials[worn]?.colour;
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
        border: '1px solid color-mix(in srgb, currentColor 30%, transparent)',
      }}
    />
  );
}
