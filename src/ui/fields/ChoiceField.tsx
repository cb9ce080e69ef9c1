'use client';

import { Box, MenuItem, Select } from '@mui/material';
import { useId } from 'react';

export interface ChoiceFieldProps<T extends string> {
  readonly label: string;
  readonly value: T;
  /** `note` = what the choice would come to, said in the list. */
  readonly choices: readonly { readonly value: T; readonly label: string; readonly note?: string }[];
  readonly onChange: (value: T) => void;
}

/** One of a few values, as a labelled list. */
export function ChoiceField<T extends string>({ label, value, choices, onChange }: ChoiceFieldProps<T>) {
  const id = useId();
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, minHeight: 34 }}>
      <Box id={id} sx={{ flex: 1, minWidth: 0, color: 'text.secondary' }}>
        {label}
      </Box>
      <Select
        value={value}
        labelId={id}
        size="small"
        displayEmpty
        onChange={(event) => onChange(event.target.value as T)}
        renderValue={(chosen) => choices.find((choice) => choice.value === chosen)?.label}
        sx={{ flex: 'none', minWidth: 150, maxWidth: '70%', fontSize: 13, height: 30 }}
      >
        {choices.map((choice) => (
          <MenuItem key={choice.value} value={choice.value} dense>
            {choice.label}
            {choice.note && (
              <Box component="span" sx={{ ml: 'auto', pl: 4, fontSize: 12, color: 'text.secondary' }}>
                {choice.note}
              </Box>
            )}
          </MenuItem>
        ))}
      </Select>
    </Box>
  );
}
