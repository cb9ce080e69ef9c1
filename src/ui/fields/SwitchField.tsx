'use client';

import { Box, Switch } from '@mui/material';
import { useId } from 'react';

export interface SwitchFieldProps {
  readonly label: string;
  readonly value: boolean;
  readonly onChange: (value: boolean) => void;
}

/** Yes or no. */
export function SwitchField({ label, value, onChange }: SwitchFieldProps) {
  const id = useId();
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr auto', alignItems: 'center', minHeight: 34 }}>
      <Box component="label" htmlFor={id} sx={{ color: 'text.secondary' }}>
        {label}
      </Box>
      <Switch size="small" checked={value} onChange={(_, checked) => onChange(checked)} slotProps={{ input: { id } }} />
    </Box>
  );
}
