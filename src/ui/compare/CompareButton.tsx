'use client';

import CompareOutlined from '@mui/icons-material/CompareOutlined';
import { IconButton, Tooltip } from '@mui/material';
import { useSession, useSet } from '../state/app-context';
import { useHold } from './use-hold';

/** Holds the present state beside what is made of it from now on, or lets it go. */
export function CompareButton() {
  const isHeld = useSession((s) => s.held !== undefined);
  const set = useSet();
  const hold = useHold();
  return (
    <Tooltip title={isHeld ? 'Let the held state go' : 'Hold this state, to compare with what comes'}>
      <IconButton
        aria-label="Hold this state to compare"
        aria-pressed={isHeld}
        onClick={() => (isHeld ? set({ held: undefined }) : hold())}
        sx={{ border: '1px solid', borderColor: isHeld ? 'primary.main' : 'divider' }}
      >
        <CompareOutlined sx={{ fontSize: 18 }} />
      </IconButton>
    </Tooltip>
  );
}
