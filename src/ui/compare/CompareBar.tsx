'use client';

import { Box, ToggleButton, ToggleButtonGroup } from '@mui/material';
import { clock } from '../format';
import { useSession, useSet } from '../state/app-context';
import type { HeldState } from './held-state';

/** Which of two states is seen: the held one, the present one, or both with an edge between them. */
export function CompareBar() {
  const held = useSession((s) => s.held);
  const set = useSet();
  if (!held) return null;
  return (
    <Box sx={{ position: 'absolute', top: 58, right: 14, pointerEvents: 'auto' }}>
      <ToggleButtonGroup
        exclusive
        aria-label="What is seen"
        value={held.seen}
        onChange={(_, seen: HeldState['seen'] | null) => seen && set({ held: { ...held, seen } })}
        sx={{ bgcolor: 'background.paper' }}
      >
        <ToggleButton value="A">A, {clock(held.at)}</ToggleButton>
        <ToggleButton value="both">Both</ToggleButton>
        <ToggleButton value="B">B, now</ToggleButton>
      </ToggleButtonGroup>
    </Box>
  );
}
