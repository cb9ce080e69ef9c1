'use client';

import { Box, InputBase } from '@mui/material';
import { useId, useState } from 'react';
import { quantityText, readQuantity, type QuantityName } from './quantity';

export interface ListFieldProps {
  readonly label: string;
  readonly values: readonly number[];
  readonly quantity: QuantityName;
  readonly onChange: (values: readonly number[]) => void;
}

/** Several numbers with their units, parted by semicolons. */
export function ListField({ label, values, quantity, onChange }: ListFieldProps) {
  const id = useId();
  const [text, setText] = useState<string>();
  const read = text === undefined ? values : readList(text, quantity);
  const finish = () => {
    if (text !== undefined && read) onChange(read);
    setText(undefined);
  };
  return (
    <Box sx={{ display: 'grid', gap: 1, py: 1 }}>
      <Box component="label" htmlFor={id} sx={{ color: 'text.secondary' }}>
        {label}
      </Box>
      <InputBase
        id={id}
        value={text ?? values.map((value) => quantityText(value, quantity)).join('; ')}
        placeholder="0.5 m; 1.2 m"
        error={!read}
        onChange={(event) => setText(event.target.value)}
        onBlur={finish}
        onKeyDown={(event) => {
          if (event.key === 'Enter') finish();
          if (event.key === 'Escape') setText(undefined);
        }}
        inputProps={{ 'aria-invalid': !read, title: read ? undefined : 'Numbers with units, parted by semicolons' }}
        sx={{
          height: 30,
          px: 2,
          borderRadius: 1,
          border: '1px solid',
          borderColor: read ? 'divider' : 'error.main',
          bgcolor: 'background.paper',
          fontSize: 13,
        }}
      />
    </Box>
  );
}

function readList(text: string, quantity: QuantityName): readonly number[] | undefined {
  const parts = text.split(';').filter((part) => part.trim() !== '');
  const values = parts.map((part) => readQuantity(part, quantity));
  return values.every((value) => value !== undefined) ? [...values].sort((a, b) => a - b) : undefined;
}
