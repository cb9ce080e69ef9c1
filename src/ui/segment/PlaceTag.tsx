'use client';

import { Box } from '@mui/material';
import type { Vec3 } from '../../core/math/vec3';
import { useProjected } from '../bentview/use-projected';
import type { Viewport } from '../bentview/viewport';

export interface PlaceTagProps {
  readonly viewport: Viewport;
  readonly at: Vec3;
  readonly text: string;
  /** A direction's letter, on a leaf ground. */
  readonly isLetter?: boolean;
}

/** A word over a place of the scene. */
export function PlaceTag({ viewport, at, text, isLetter = false }: PlaceTagProps) {
  const ref = useProjected<HTMLDivElement>(viewport, at);
  return (
    <Box
      ref={ref}
      sx={{
        position: 'absolute',
        left: 0,
        top: 0,
        px: isLetter ? 1.5 : 1,
        borderRadius: 1,
        fontSize: 12,
        lineHeight: '17px',
        fontWeight: isLetter ? 700 : 400,
        whiteSpace: 'nowrap',
        pointerEvents: 'none',
        color: isLetter ? 'background.paper' : 'text.primary',
        bgcolor: isLetter ? 'primary.main' : 'background.default',
      }}
    >
      {text}
    </Box>
  );
}
