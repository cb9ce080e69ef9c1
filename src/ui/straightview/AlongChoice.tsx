'use client';

import { ToggleButton, ToggleButtonGroup } from '@mui/material';
import { useSession, useSet } from '../state/app-context';

/** Whether the straight view shows the run along its length or over the time. */
export function AlongChoice() {
  const along = useSession((s) => s.along);
  const set = useSet();
  return (
    <ToggleButtonGroup
      exclusive
      size="small"
      aria-label="The straight view shows"
      value={along}
      onChange={(_, next: typeof along | null) => next && set({ along: next, station: undefined, keys: [] })}
      sx={{ ml: 4, '& .MuiToggleButton-root': { height: 24, px: 2.5, fontSize: 12, textTransform: 'none' } }}
    >
      <ToggleButton value="length">Length</ToggleButton>
      <ToggleButton value="time">Time</ToggleButton>
    </ToggleButtonGroup>
  );
}
