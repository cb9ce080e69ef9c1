'use client';

import { Box } from '@mui/material';
import { useId } from 'react';

export interface ColourFieldProps {
  readonly label: string;
  /** #rrggbb. */
  readonly value: string;
  readonly onChange: (value: string) => void;
}

/** A colour. */
export function ColourField({ label, value, onChange }: ColourFieldProps) {
  const id = useId();
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 104px', alignItems: 'center', minHeight: 34 }}>
      <Box component="label" htmlFor={id} sx={{ color: 'text.secondary' }}>
        {label}
      </Box>
      <Box
        component="input"
        type="color"
        id={id}
        value={value}
        onChange={(event) => onChange(event.target.value)}
        sx={{
          width: '100%',
          height: 30,
          p: 0,
          border: '1px solid',
          borderColor: 'divider',
          borderRadius: 1,
          bgcolor: 'transparent',
        }}
      />
    </Box>
  );
}
