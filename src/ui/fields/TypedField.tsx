'use client';

import { Box, InputBase } from '@mui/material';
import { useId, useState } from 'react';

export interface TypedFieldProps<V> {
  readonly label: string;
  /** The value as it is written. */
  readonly text: string;
  readonly placeholder?: string;
  /** What was typed, or why it cannot be. */
  readonly read: (text: string) => { readonly value: V } | { readonly wrong: string };
  readonly onChange: (value: V) => void;
}

/** Something that is written in a line of its own, taken when it is done and makes sense. */
export function TypedField<V>({ label, text: shown, placeholder = '', read, onChange }: TypedFieldProps<V>) {
  const id = useId();
  const [text, setText] = useState<string>();
  const typed = text === undefined ? undefined : read(text);
  const wrong = typed && 'wrong' in typed ? typed.wrong : undefined;
  const finish = () => {
    if (typed && 'value' in typed && text !== shown) onChange(typed.value);
    setText(undefined);
  };
  return (
    <Box sx={{ display: 'grid', gap: 1, py: 1 }}>
      <Box component="label" htmlFor={id} sx={{ color: 'text.secondary' }}>
        {label}
      </Box>
      <InputBase
        id={id}
        value={text ?? shown}
        placeholder={placeholder}
        error={wrong !== undefined}
        onChange={(event) => setText(event.target.value)}
        onBlur={finish}
        onKeyDown={(event) => {
          if (event.key === 'Enter') finish();
          if (event.key === 'Escape' && text !== undefined) {
            event.stopPropagation(); // takes back what was typed; the dialog round it stays
            setText(undefined);
          }
        }}
        inputProps={{ 'aria-invalid': wrong !== undefined }}
        sx={{
          height: 30,
          px: 2,
          borderRadius: 1,
          border: '1px solid',
          borderColor: wrong === undefined ? 'divider' : 'error.main',
          bgcolor: 'background.paper',
          fontSize: 13,
        }}
      />
      {wrong !== undefined && (
        <Box role="alert" sx={{ color: 'error.main', fontSize: 12 }}>
          {wrong}
        </Box>
      )}
    </Box>
  );
}
