'use client';

import { Box } from '@mui/material';
import type { Vec3 } from '../../core/math/vec3';
import type { RingHold } from './use-ring-pull';
import { useProjected } from './use-projected';
import type { Viewport } from './viewport';

export interface RingGripProps extends RingHold {
  readonly viewport: Viewport;
  readonly place: Vec3;
  readonly label: string;
}

/** A grip over the scene that swells a run. */
export function RingGrip({ viewport, place, label, ...handlers }: RingGripProps) {
  const ref = useProjected<HTMLDivElement>(viewport, place);
  return (
    <Box ref={ref} sx={{ position: 'absolute', left: 0, top: 0 }}>
      <Box
        component="button"
        type="button"
        aria-label={label}
        title={label}
        {...handlers}
        sx={{
          ...{ display: 'block', width: 12, height: 12, p: 0, border: '2px solid', borderRadius: '3px' },
          ...{ borderColor: 'tokens.sky', bgcolor: 'background.paper', cursor: 'move', touchAction: 'none' },
          ...{
            pointerEvents: 'auto',
            position: 'relative',
            '&::after': { content: '""', position: 'absolute', inset: -8 },
          },
        }}
      />
    </Box>
  );
}
