import WarningAmberRounded from '@mui/icons-material/WarningAmberRounded';
import { Box, Typography } from '@mui/material';
import type { ReactNode } from 'react';

/** What is wrong, and what can be done. */
export function Note({ title, text, children }: { title: string; text: string; children?: ReactNode }) {
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: '16px 1fr',
        columnGap: 2,
        pl: 2,
        borderLeft: '3px solid',
        borderLeftColor: 'error.main',
      }}
    >
      <WarningAmberRounded sx={{ fontSize: 16, color: 'error.main', mt: 0.5 }} />
      <Box>
        <Typography sx={{ fontWeight: 650, fontSize: 13 }}>{title}</Typography>
        <Typography variant="body2" color="text.secondary">
          {text}
        </Typography>
        {children}
      </Box>
    </Box>
  );
}
