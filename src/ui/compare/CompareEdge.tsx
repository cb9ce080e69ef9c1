'use client';

import { Box } from '@mui/material';
import { useState } from 'react';
import { useSession, useSet } from '../state/app-context';

/** The line between A and B, to be dragged or moved by keys. */
export function CompareEdge() {
  const held = useSession((s) => s.held);
  const set = useSet();
  const [isHeld, setHeld] = useState(false);
  if (held?.seen !== 'both') return null;
  const put = (edge: number) => set({ held: { ...held, edge: Math.min(Math.max(edge, 0), 1) } });
  return (
    <Box
      role="slider"
      tabIndex={0}
      aria-label="Edge between A and B"
      aria-valuemin={0}
      aria-valuemax={100}
      aria-valuenow={Math.round(held.edge * 100)}
      onPointerDown={(event) => {
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
        setHeld(true);
      }}
      onPointerMove={(event) => {
        if (!isHeld) return;
        const { left, width } = event.currentTarget.parentElement!.getBoundingClientRect();
        put((event.clientX - left) / width);
      }}
      onPointerUp={() => setHeld(false)}
      onKeyDown={(event) => {
        const by = { ArrowLeft: -0.02, ArrowRight: 0.02 }[event.key];
        if (by === undefined) return;
        event.preventDefault();
        put(held.edge + by);
      }}
      sx={{
        ...{ position: 'absolute', top: 0, bottom: 0, left: `${held.edge * 100}%`, width: 16, ml: '-8px' },
        ...{ pointerEvents: 'auto', cursor: 'ew-resize', touchAction: 'none' },
        '&::before': {
          content: '""',
          position: 'absolute',
          left: 7,
          top: 0,
          bottom: 0,
          width: 2,
          bgcolor: 'primary.main',
        },
        '&::after': { content: '"A   B"', whiteSpace: 'pre', position: 'absolute', left: -8, bottom: 44, width: 32, textAlign: 'center', fontSize: 11, lineHeight: '18px', borderRadius: 1, bgcolor: 'primary.main', color: 'primary.contrastText' }, // prettier-ignore
      }}
    />
  );
}
