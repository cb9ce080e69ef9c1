'use client';

import { Box, ToggleButton, ToggleButtonGroup } from '@mui/material';
import { useId } from 'react';
import { AXES } from '../../core/segment/segment-spec';
import { AxisPicture } from './AxisPicture';

export interface AxisChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T;
  /** Ways to find it, before the six directions. */
  readonly found: readonly { readonly value: T; readonly label: string }[];
  readonly onChange: (value: T) => void;
}

/** Which of the file's six directions is meant, as small pictures, or how it is found. */
export function AxisChoice<T extends string>({ label, value, found, onChange }: AxisChoiceProps<T>) {
  const id = useId();
  const group = {
    gap: 1,
    display: 'grid',
    '& .MuiToggleButton-root': {
      p: 0,
      border: '1px solid',
      borderColor: 'divider',
      borderRadius: '8px !important',
      m: '0 !important',
    },
  };
  const choose = (_: unknown, next: T | null) => next && onChange(next);
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <Box id={id} sx={{ color: 'text.secondary' }}>
        {label}
      </Box>
      {found.length > 0 && (
        <ToggleButtonGroup
          exclusive
          aria-labelledby={id}
          value={value}
          onChange={choose}
          sx={{
            ...group,
            gridTemplateColumns: `repeat(${found.length}, 1fr)`,
            '& .MuiToggleButton-root.MuiToggleButton-root': { height: 30 },
          }}
        >
          {found.map((way) => (
            <ToggleButton key={way.value} value={way.value}>
              {way.label}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      )}
      <ToggleButtonGroup
        exclusive
        aria-labelledby={id}
        value={value}
        onChange={choose}
        sx={{ ...group, gridTemplateColumns: 'repeat(6, 1fr)' }}
      >
        {AXES.map((axis) => (
          <ToggleButton key={axis} value={axis} aria-label={axis} sx={{ flexDirection: 'column', height: 56 }}>
            <AxisPicture axis={axis} />
            <Box component="span" sx={{ fontSize: 11, lineHeight: '12px' }}>
              {axis}
            </Box>
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    </Box>
  );
}
