'use client';

import KeyboardArrowDownRounded from '@mui/icons-material/KeyboardArrowDownRounded';
import KeyboardArrowUpRounded from '@mui/icons-material/KeyboardArrowUpRounded';
import { Box, IconButton } from '@mui/material';
import { useState } from 'react';
import { StraightView } from './StraightView';

/** The straight view with the handle that folds it away. */
export function StraightPane() {
  const [isOpen, setOpen] = useState(true);
  const Icon = isOpen ? KeyboardArrowDownRounded : KeyboardArrowUpRounded;
  return (
    <Box sx={{ position: 'relative', height: isOpen ? 208 : 34, borderTop: '1px solid', borderColor: 'divider' }}>
      <StraightView />
      <IconButton
        aria-label={isOpen ? 'Fold the straight view away' : 'Open the straight view'}
        aria-expanded={isOpen}
        size="small"
        onClick={() => setOpen(!isOpen)}
        sx={{ position: 'absolute', top: 4, left: 104, width: 26, height: 26 }}
      >
        <Icon sx={{ fontSize: 18 }} />
      </IconButton>
    </Box>
  );
}
