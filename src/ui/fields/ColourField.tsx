'use client';

import { Box } from '@mui/material';
import { useId } from 'react';
import type { Address } from '../../project/keys/address';
import { HasKeys } from './HasKeys';

export interface ColourFieldProps {
  readonly label: string;
  /** #rrggbb. */
  readonly value: string;
  readonly onChange: (value: string) => void;
  /** Where it stands in the project, so that it may have keys. */
  readonly of?: Address | undefined;
}

/** A colour. */
export function ColourField({ label, value, onChange, of }: ColourFieldProps) {
  const id = useId();
  return (
    <HasKeys of={of} label={label} value={value}>
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
    </HasKeys>
  );
}
