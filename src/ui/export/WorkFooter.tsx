'use client';

import { Box, Button, DialogActions, LinearProgress, Typography } from '@mui/material';
import { whole } from '../format';
import type { Work } from './use-work';

export interface WorkFooterProps {
  readonly work: Work;
  /** What the main button does. */
  readonly label: string;
  readonly isReady: boolean;
  readonly onStart: () => void;
  readonly onClose: () => void;
}

/** How far the work is and what went wrong, with the buttons below: stop or cancel, and start. */
export function WorkFooter({ work: { running, problem }, label, isReady, onStart, onClose }: WorkFooterProps) {
  return (
    <>
      <Box sx={{ px: 6, display: 'grid', gap: 2 }}>
        {running && (
          <Box role="status">
            <Typography>{running.words ?? `Baking ${whole(running.share * 100)} %`}</Typography>
            <LinearProgress aria-label="Baking" variant="determinate" value={running.share * 100} />
          </Box>
        )}
        {problem && (
          <Typography role="alert" color="error">
            {problem}
          </Typography>
        )}
      </Box>
      <DialogActions sx={{ px: 6, pb: 4 }}>
        <Button variant="text" color="secondary" onClick={running ? running.stop : onClose}>
          {running ? 'Stop' : 'Cancel'}
        </Button>
        <Button variant="contained" color="secondary" disabled={running !== undefined || !isReady} onClick={onStart}>
          {label}
        </Button>
      </DialogActions>
    </>
  );
}
