'use client';

import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, Typography } from '@mui/material';
import { useSet } from '../state/app-context';
import { KEY_LIST } from './key-list';

/** All keys. */
export function KeysDialog() {
  const set = useSet();
  const close = () => set({ dialog: undefined });
  return (
    <Dialog
      open
      onClose={close}
      aria-labelledby="keys-title"
      maxWidth={false}
      slotProps={{ paper: { sx: { width: 760 } } }}
    >
      <DialogTitle id="keys-title" variant="h2">
        Keys
      </DialogTitle>
      <DialogContent sx={{ columnCount: 2, columnGap: 8 }}>
        {KEY_LIST.map(({ where, keys }) => (
          <Box key={where} sx={{ breakInside: 'avoid', pb: 4 }}>
            <Typography variant="h3" sx={{ pb: 1 }}>
              {where}
            </Typography>
            {keys.map(([key, what]) => (
              <Box key={key} sx={{ display: 'grid', gridTemplateColumns: '116px 1fr', columnGap: 3, py: 0.75 }}>
                <Box component="kbd" sx={{ fontFamily: 'inherit', fontSize: 13, fontWeight: 650 }}>
                  {key}
                </Box>
                <Typography variant="body2" color="text.secondary">
                  {what}
                </Typography>
              </Box>
            ))}
          </Box>
        ))}
      </DialogContent>
      <DialogActions sx={{ px: 6, pb: 4 }}>
        <Button variant="contained" color="secondary" onClick={close}>
          Close
        </Button>
      </DialogActions>
    </Dialog>
  );
}
