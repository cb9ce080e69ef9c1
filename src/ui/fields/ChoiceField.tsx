'use client';

import { Box, MenuItem, Select } from '@mui/material';
import { useId } from 'react';

export interface ChoiceFieldProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly choices: readonly { readonly value: T; readonly label: string }[];
  readonly onChange: (value: T) => void;
}

/** One of a few values, as a labelled list. */
export function ChoiceField<T extends string>({ label, value, choices, onChange }: ChoiceFieldProps<T>) {
  const id = useId();
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 150px', alignItems: 'center', columnGap: 2, minHeight: 34 }}>
      <Box id={id} sx={{ color: 'text.secondary' }}>
        {label}
      </Box>
      <Select
        value={value}
        labelId={id}
        size="small"
        onChange={(event) => onChange(event.target.value as T)}
        sx={{ fontSize: 13, height: 30 }}
      >
        {choices.map((choice) => (
          <MenuItem key={choice.value} value={choice.value} dense>
            {choice.label}
          </MenuItem>
        ))}
      </Select>
    </Box>
  );
}
