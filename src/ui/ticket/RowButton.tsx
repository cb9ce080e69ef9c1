import { IconButton } from '@mui/material';
import type { ReactNode } from 'react';

/** A small button at the end of a row. */
export const RowButton = ({ label, icon, onClick }: { label: string; icon: ReactNode; onClick: () => void }) => (
  <IconButton
    size="small"
    aria-label={label}
    onClick={onClick}
    sx={{ width: 26, height: 26, '& svg': { fontSize: 16 } }}
  >
    {icon}
  </IconButton>
);
