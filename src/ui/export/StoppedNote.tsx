'use client';

import { Box, Button, Typography } from '@mui/material';
import { whole } from '../format';
import { useSequence } from './use-sequence';
import type { Work } from './use-work';

/** A sequence that was stopped, or whose page was closed: it can be gone on with. */
export function StoppedNote({ work }: { work: Work }) {
  const { stopped, goOn } = useSequence(work);
  if (!stopped || work.running) return null;
  return (
    <Box
      role="note"
      sx={{
        ...{ mx: 6, mt: 3, px: 3, py: 1.5, borderRadius: 1, bgcolor: 'action.selected' },
        ...{ display: 'flex', gap: 2, alignItems: 'center' },
      }}
    >
      <Typography sx={{ flex: 1 }}>
        A sequence was stopped: {whole(stopped.done)} of {whole(stopped.count)} frames are there.
      </Typography>
      <Button size="small" variant="outlined" color="secondary" onClick={() => void goOn()}>
        Go on
      </Button>
    </Box>
  );
}
